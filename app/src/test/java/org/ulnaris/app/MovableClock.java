package org.ulnaris.app;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.springframework.context.annotation.Primary;

/** The wall clock, that a test may put forward. */
@Primary
public class MovableClock extends Clock {
    private Duration ahead = Duration.ZERO;

    /** Runs {@code work} as if {@code time} had gone by. */
    public void after(Duration time, Runnable work) {
        ahead = time;
        try {
            work.run();
        } finally {
            ahead = Duration.ZERO;
        }
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(ahead);
    }

    @Override
    public ZoneId getZone() {
        return ZoneId.systemDefault();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.offset(Clock.system(zone), ahead);
    }
}
