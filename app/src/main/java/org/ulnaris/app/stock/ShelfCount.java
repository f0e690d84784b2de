package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** How many of a part lie on the shelf. */
@Entity
class ShelfCount {
    @Id
    private String code;

    private int pieces;

    @SuppressWarnings("NullAway.Init")
    protected ShelfCount() {}

    ShelfCount(String code, int pieces) {
        this.code = code;
        this.pieces = pieces;
    }

    String code() {
        return code;
    }

    int pieces() {
        return pieces;
    }
}
