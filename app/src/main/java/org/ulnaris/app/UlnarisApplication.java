package org.ulnaris.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Ulnaris: plan, match, make, prove and pack heavy direct-current cables. */
@SpringBootApplication
public class UlnarisApplication {
    public static void main(String[] args) {
        SpringApplication.run(UlnarisApplication.class, args);
    }
}
