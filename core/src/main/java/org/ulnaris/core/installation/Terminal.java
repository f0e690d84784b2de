package org.ulnaris.core.installation;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * A terminal of a device.
 *
 * @param device tag of the device
 * @param port which of its terminals
 */
public record Terminal(String device, Port port) {
    /** The terminals that a device may have. */
    public enum Port {
        PLUS,
        MINUS,
        /** Of a fuse, switch or shunt: towards the source. */
        IN,
        OUT,
        /** The studs of a bus bar or chassis, which are not told apart. */
        BAR;

        private final String word = name().toLowerCase(Locale.ROOT);

        /** As it is written behind the point. */
        public String word() {
            return word;
        }

        /** The other side of a device with two sides; a bar's own. */
        public Port across() {
            return switch (this) {
                case PLUS -> MINUS;
                case MINUS -> PLUS;
                case IN -> OUT;
                case OUT -> IN;
                case BAR -> BAR;
            };
        }
    }

    public Terminal {
        Objects.requireNonNull(device, "device");
        Objects.requireNonNull(port, "port");
    }

    /**
     * Reads {@code TAG.terminal}.
     *
     * @throws IllegalArgumentException when it is not written so
     */
    public static Terminal parse(String text) {
        return read(text)
                .orElseThrow(() -> new IllegalArgumentException(
                        "a terminal is written TAG.terminal, for example BANK.plus; have '" + text + "'"));
    }

    /** The terminal that {@code text} names; empty where it is no terminal's name. */
    public static Optional<Terminal> read(String text) {
        int point = text.lastIndexOf('.');
        if (point <= 0) {
            return Optional.empty();
        }
        String word = text.substring(point + 1);
        for (Port port : Port.values()) {
            if (port.word().equals(word)) {
                return Optional.of(new Terminal(text.substring(0, point), port));
            }
        }
        return Optional.empty();
    }

    /** Whether it is a stud of a bar, of which there are several. */
    public boolean isBar() {
        return port == Port.BAR;
    }

    /** Its node in a network: all studs of a bar are one. */
    public String node() {
        return isBar() ? device : toString();
    }

    /** As it is written: {@code TAG.terminal}. */
    @Override
    public String toString() {
        return device + "." + port.word();
    }
}
