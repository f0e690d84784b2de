package org.ulnaris.app.job;

/** What a new job starts from; known to the feature that keeps the house rules. */
public interface ShopDefaults {
    /** The shop's rules. */
    JobRules rules();
}
