package org.ulnaris.app.crib;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;

/** A pair of dies in the crib, and where it is now. */
@Entity
@Table(name = "die")
class CribDie implements Shapes {
    @Id
    @GeneratedValue(generator = "die_seq")
    @SequenceGenerator(name = "die_seq", sequenceName = "die_seq")
    private @Nullable Long id;

    @Version
    private long version;

    @Embedded
    private DieDetails details;

    private @Nullable String inTool;

    @SuppressWarnings("NullAway.Init")
    protected CribDie() {}

    CribDie(DieDetails details) {
        this.details = details;
    }

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    DieDetails details() {
        return details;
    }

    void change(DieDetails changed) {
        details = changed;
    }

    /** Tag of the tool that it is in; null in its place in the box. */
    @Nullable
    String inTool() {
        return inTool;
    }

    void fit(@Nullable String tool) {
        inTool = tool;
    }
}
