package org.ulnaris.core.installation;

/**
 * A terminal of a device.
 *
 * @param device tag of the device
 * @param name name of the terminal
 */
public record Terminal(String device, String name) {
    /**
     * Reads {@code TAG.terminal}.
     *
     * @throws IllegalArgumentException when it has no point
     */
    public static Terminal parse(String text) {
        int point = text.lastIndexOf('.');
        if (point <= 0 || point == text.length() - 1) {
            throw new IllegalArgumentException(
                    "a terminal is written TAG.terminal, for example BANK.plus; have '" + text + "'");
        }
        return new Terminal(text.substring(0, point), text.substring(point + 1));
    }

    @Override
    public String toString() {
        return device + "." + name;
    }
}
