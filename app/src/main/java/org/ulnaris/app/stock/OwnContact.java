package org.ulnaris.app.stock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/** A contact that the person entered. */
@Entity
class OwnContact implements Shapes, PartRow<Contact> {
    @Id
    @GeneratedValue(generator = "own_contact_seq")
    @SequenceGenerator(name = "own_contact_seq", sequenceName = "own_contact_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private String code;

    @Enumerated(EnumType.STRING)
    private Family family;

    @Enumerated(EnumType.STRING)
    private Style style;

    @Column(name = "from_mm2")
    private double fromMm2;

    @Column(name = "to_mm2")
    private double toMm2;

    @Column(name = "tight_mm2")
    private @Nullable Double tightMm2;

    @Column(name = "reduced_mm2")
    private @Nullable Double reducedMm2;

    private @Nullable Double ratedA;
    private double stripMm;
    private String housing;
    private double depthMm;
    private double reachMm;
    private double heightMm;
    private @Nullable Double sealFromMm;
    private @Nullable Double sealToMm;
    private @Nullable Double nutNm;
    private @Nullable Double outerMm;
    private @Nullable Double boreMm;

    @SuppressWarnings("NullAway.Init")
    protected OwnContact() {}

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    OwnContact(Contact contact) {
        this.code = contact.code();
        this.family = contact.family();
        this.style = contact.style();
        this.fromMm2 = contact.wire().fromMm2();
        this.toMm2 = contact.wire().toMm2();
        this.tightMm2 = orNull(contact.wire().tightMm2());
        this.reducedMm2 = orNull(contact.wire().reducedMm2());
        this.ratedA = orNull(contact.wire().ratedA());
        this.stripMm = contact.stripMm();
        Contact.Seat seat = contact.seat();
        this.housing = seat.housing();
        this.depthMm = seat.depthMm();
        this.reachMm = seat.reachMm();
        this.heightMm = seat.heightMm();
        Range seal = seat.seal();
        this.sealFromMm = seal == null ? null : seal.above();
        this.sealToMm = seal == null ? null : seal.upTo();
        this.nutNm = orNull(seat.nutNm());
        Barrel tube = contact.measuredTube();
        this.outerMm = tube == null ? null : tube.outerMm();
        this.boreMm = tube == null ? null : tube.boreMm();
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public Contact part() {
        Range seal = sealFromMm == null || sealToMm == null ? null : new Range(sealFromMm, sealToMm);
        Barrel tube =
                outerMm == null || boreMm == null ? null : new Barrel(LugMaterial.COPPER, outerMm, boreMm, depthMm);
        return new Contact(
                code,
                family,
                style,
                new Contact.Wire(fromMm2, toMm2, optional(tightMm2), optional(ratedA), optional(reducedMm2)),
                stripMm,
                new Contact.Seat(housing, depthMm, reachMm, heightMm, seal, optional(nutNm)),
                tube,
                Source.shop());
    }
}
