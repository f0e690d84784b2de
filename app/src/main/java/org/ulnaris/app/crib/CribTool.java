package org.ulnaris.app.crib;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;

/** A tool of the crib. */
@Entity
class CribTool implements Shapes {
    @Id
    @GeneratedValue(generator = "crib_tool_seq")
    @SequenceGenerator(name = "crib_tool_seq", sequenceName = "crib_tool_seq")
    private @Nullable Long id;

    @Version
    private long version;

    @Embedded
    private ToolDetails details;

    @SuppressWarnings("NullAway.Init")
    protected CribTool() {}

    CribTool(ToolDetails details) {
        this.details = details;
    }

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    ToolDetails details() {
        return details;
    }

    void change(ToolDetails changed) {
        details = changed;
    }
}
