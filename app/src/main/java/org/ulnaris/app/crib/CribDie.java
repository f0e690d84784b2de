package org.ulnaris.app.crib;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.termination.LugMaterial;

/** A pair of dies in the crib. */
@Entity
@Table(name = "die")
class CribDie {
    @Id
    @GeneratedValue(generator = "die_seq")
    @SequenceGenerator(name = "die_seq", sequenceName = "die_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private String tag;
    private String tool;
    private double acrossFlatsMm;
    private double widthMm;

    @Enumerated(EnumType.STRING)
    private LugMaterial material;

    @SuppressWarnings("NullAway.Init")
    protected CribDie() {}

    CribDie(Die die, String tool) {
        this.tag = die.tag();
        this.tool = tool;
        this.acrossFlatsMm = die.acrossFlatsMm();
        this.widthMm = die.widthMm();
        this.material = die.material();
    }

    String tool() {
        return tool;
    }

    Die die() {
        return new Die(tag, DieShape.HEX, acrossFlatsMm, widthMm, material);
    }
}
