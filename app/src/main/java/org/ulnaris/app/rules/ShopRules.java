package org.ulnaris.app.rules;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.ulnaris.app.job.JobRules;

/** The shop's rules: one row. */
@Entity
class ShopRules {
    static final long ONLY = 1;

    @Id
    private long id = ONLY;

    @Version
    private long version;

    @Embedded
    private JobRules rules;

    @SuppressWarnings("NullAway.Init")
    protected ShopRules() {}

    ShopRules(JobRules rules) {
        this.rules = rules;
    }

    JobRules rules() {
        return rules;
    }

    void change(JobRules changed) {
        rules = changed;
    }
}
