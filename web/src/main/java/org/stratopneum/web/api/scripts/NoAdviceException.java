package org.stratopneum.web.api.scripts;

/** Nothing can be recommended for a wheel yet: something that it depends on is not known. */
final class NoAdviceException extends RuntimeException {

    private static final long serialVersionUID = 1L;
}
