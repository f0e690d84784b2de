package org.ulnaris.app.make;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.OfCable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.making.Side;

/** How the making of a cable stands beyond its steps: length used up by redone ends. */
@Entity
class Build implements Shapes, OfCable {
    @Id
    private long cableId;

    @Version
    private long version;

    private double usedMm;
    private int redoneA;
    private int redoneB;
    private @Nullable String cutSize;

    protected Build() {}

    Build(long cableId) {
        this.cableId = cableId;
    }

    @Override
    public long cableId() {
        return cableId;
    }

    @Override
    public Scope scope() {
        return Scope.cable(cableId);
    }

    /** Designation of the size that it was cut from. */
    @Nullable
    String cutSize() {
        return cutSize;
    }

    void cutFrom(@Nullable String size) {
        cutSize = size;
    }

    double usedMm() {
        return usedMm;
    }

    int redone(Side side) {
        return side == Side.A ? redoneA : redoneB;
    }

    void redo(Side side, double costMm) {
        usedMm += costMm;
        if (side == Side.A) {
            redoneA++;
        } else {
            redoneB++;
        }
    }

    void set(double used, int a, int b) {
        usedMm = used;
        redoneA = a;
        redoneB = b;
    }

    void startOver() {
        set(0, 0, 0);
        cutSize = null;
    }
}
