package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** What a metre of cable costs the shop, in any one currency. */
@Entity
class CablePrice {
    @Id
    private String size;

    private double perMetre;

    @SuppressWarnings("NullAway.Init")
    protected CablePrice() {}

    CablePrice(String size, double perMetre) {
        this.size = size;
        this.perMetre = perMetre;
    }

    /** Designation of the size. */
    String size() {
        return size;
    }

    double perMetre() {
        return perMetre;
    }
}
