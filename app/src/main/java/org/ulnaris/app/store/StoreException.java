package org.ulnaris.app.store;

/** Why a shop can't be opened, saved or brought back, in one line that says what to do. */
public class StoreException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public StoreException(String line) {
        super(line);
    }

    public StoreException(String line, Throwable cause) {
        super(line, cause);
    }
}
