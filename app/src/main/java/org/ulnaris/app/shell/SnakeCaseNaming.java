package org.ulnaris.app.shell;

import java.util.Locale;
import org.hibernate.boot.model.naming.Identifier;
import org.hibernate.boot.model.naming.PhysicalNamingStrategyStandardImpl;
import org.hibernate.engine.jdbc.env.spi.JdbcEnvironment;
import org.jspecify.annotations.Nullable;

/** {@code currentA} is the column {@code current_a}: the usual strategy does not part a unit of one letter. */
public class SnakeCaseNaming extends PhysicalNamingStrategyStandardImpl {
    private static final long serialVersionUID = 1L;

    @Override
    public @Nullable Identifier toPhysicalColumnName(@Nullable Identifier name, JdbcEnvironment environment) {
        return snake(name);
    }

    @Override
    public @Nullable Identifier toPhysicalTableName(@Nullable Identifier name, JdbcEnvironment environment) {
        return snake(name);
    }

    private static @Nullable Identifier snake(@Nullable Identifier name) {
        return name == null
                ? null
                : Identifier.toIdentifier(
                        name.getText().replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT));
    }
}
