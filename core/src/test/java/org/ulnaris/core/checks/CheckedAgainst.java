package org.ulnaris.core.checks;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Names what a test holds the code against from outside; docs/checks.md is written from these. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface CheckedAgainst {
    /** The publication with its clause, or "common practice". */
    String value();

    /** How the expected figures came here: no printed standard was at hand. */
    String how() default "recalled";
}
