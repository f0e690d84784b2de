package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.ulnaris.app.work.Shapes;

/** How many of a part lie on the shelf, and how many shall. */
@Entity
class ShelfCount implements Shapes {
    @Id
    private String code;

    private int pieces;
    private int minimum;

    @SuppressWarnings("NullAway.Init")
    protected ShelfCount() {}

    ShelfCount(String code, Shelf.Count count) {
        this.code = code;
        this.pieces = count.pieces();
        this.minimum = count.least();
    }

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    String code() {
        return code;
    }

    Shelf.Count count() {
        return new Shelf.Count(pieces, minimum);
    }
}
