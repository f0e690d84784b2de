package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.ulnaris.app.work.Shapes;

/** How many of a part lie on the shelf. */
@Entity
class ShelfCount implements Shapes {
    @Id
    private String code;

    private int pieces;

    @SuppressWarnings("NullAway.Init")
    protected ShelfCount() {}

    ShelfCount(String code, int pieces) {
        this.code = code;
        this.pieces = pieces;
    }

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    String code() {
        return code;
    }

    int pieces() {
        return pieces;
    }
}
