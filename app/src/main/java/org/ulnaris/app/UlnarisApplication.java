package org.ulnaris.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Ulnaris: plan, match, make, prove and pack heavy direct-current cables. */
@SpringBootApplication
public class UlnarisApplication {
    /** The one clock: what a date or an hour is needed for asks this. */
    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }

    public static void main(String[] args) {
        SpringApplication.run(UlnarisApplication.class, args);
    }
}
