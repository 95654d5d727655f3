package org.stratopneum.web.platform.fault;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What was asked for does not exist, or belongs to somebody else; the answer does not tell which. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotThereException extends RuntimeException {

    private static final long serialVersionUID = 1L;
}
