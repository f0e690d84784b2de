package org.ulnaris.app.match;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.making.Side;

/** One end of a cable: its landing and what was picked for it. */
@Entity
@Table(name = "cable_end")
class EndSpec implements Shapes {
    @Id
    @GeneratedValue(generator = "cable_end_seq")
    @SequenceGenerator(name = "cable_end_seq", sequenceName = "cable_end_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private long cableId;

    @Enumerated(EnumType.STRING)
    private Side side;

    @Embedded
    private EndDetails details;

    @SuppressWarnings("NullAway.Init")
    protected EndSpec() {}

    EndSpec(long cableId, Side side, EndDetails details) {
        this.cableId = cableId;
        this.side = side;
        this.details = details;
    }

    @Override
    public Scope scope() {
        return Scope.cable(cableId);
    }

    long version() {
        return version;
    }

    long cableId() {
        return cableId;
    }

    Side side() {
        return side;
    }

    EndDetails details() {
        return details;
    }

    void change(EndDetails newDetails) {
        details = newDetails;
    }
}
