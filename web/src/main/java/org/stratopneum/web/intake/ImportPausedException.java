package org.stratopneum.web.intake;

/** The process that reads a file ends; the file is read later, from its beginning. */
final class ImportPausedException extends RuntimeException {

    private static final long serialVersionUID = 1L;
}
