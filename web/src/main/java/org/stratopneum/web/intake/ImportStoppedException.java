package org.stratopneum.web.intake;

/** A file cannot be read on from here; nothing of it is kept. */
public final class ImportStoppedException extends RuntimeException {

    private static final long serialVersionUID = 1L;
    private final String where;
    private final String what;

    /** @param what in words */
    public ImportStoppedException(String where, String what) {
        super(where + ": " + what);
        this.where = where;
        this.what = what;
    }

    String where() {
        return where;
    }

    String what() {
        return what;
    }
}
