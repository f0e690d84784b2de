package org.ulnaris.app.drawing;

import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.termination.Barrel;

/** A contact from the side: its shell with the tongue in it, its tube with the bore. */
public final class ContactShape {
    private static final double MARGIN_MM = 1;
    /** How far the entry of a shell stands beyond the mouth of the barrel. */
    private static final double ENTRY_MM = 3;

    private ContactShape() {}

    /** Whether its form is known: of small terminals, solder sleeves and ferrules the tables tell only what they take. */
    public static boolean known(Contact contact) {
        return contact.family().mates() || contact.tube().isPresent();
    }

    /** How long it is, mm. */
    public static double lengthMm(Contact contact) {
        double reach = contact.seat().reachMm();
        if (contact.style().joins()) {
            return 2 * reach;
        }
        return contact.family().mates() ? reach + ENTRY_MM : reach;
    }

    /** How wide it is, mm. */
    public static double widthMm(Contact contact) {
        double tube = contact.tube().map(Barrel::outerMm).orElse(0.0);
        return contact.family().mates() ? Math.max(tube, contact.seat().heightMm()) : tube;
    }

    /** A contact of {@link #known} form by itself on a sheet as long and wide as {@code longestMm} and {@code widestMm}. */
    public static Drawing alone(Contact contact, double longestMm, double widestMm, String label) {
        double length = longestMm + 2 * MARGIN_MM;
        double height = widestMm + 2 * MARGIN_MM;
        Pen pen = new Pen(length, false);
        double y = height / 2;
        double from = (length - lengthMm(contact)) / 2;
        double mouth = from + lengthMm(contact) - (contact.family().mates() ? ENTRY_MM : 0);
        double barrel = contact.style().joins() ? from : mouth - contact.seat().depthMm();
        double half = contact.seat().heightMm() / 2;
        if (contact.family().mates()) {
            shell(pen, new double[] {from, barrel, mouth}, new double[] {half, half / 2}, y);
            tongue(pen, new double[] {from + 2, barrel}, half / 2, y);
        } else {
            tongue(pen, new double[] {from, barrel}, widthMm(contact) / 2, y);
        }
        contact.tube().ifPresent(tube -> tube(pen, tube, new double[] {barrel, mouth}, y));
        return new Drawing(length, height, label, "lug-alone", pen.marks());
    }

    /**
     * The shell of a connector.
     *
     * @param along mating face, inner end and mouth of the barrel, mm
     * @param halves half the height of the shell and of its entry, mm
     */
    static void shell(Pen pen, double[] along, double[] halves, double y) {
        double end = along[2] + ENTRY_MM;
        pen.polygon(
                "shell part-pad",
                along[0],
                y - halves[0],
                along[1],
                y - halves[0],
                end,
                y - halves[1],
                end,
                y + halves[1],
                along[1],
                y + halves[0],
                along[0],
                y + halves[0]);
    }

    private static void tongue(Pen pen, double[] along, double width, double y) {
        if (along[1] > along[0]) {
            pen.rect("lug part-pad", along[0], y - width / 2, along[1] - along[0], width);
        }
    }

    private static void tube(Pen pen, Barrel tube, double[] along, double y) {
        double length = along[1] - along[0];
        double bore = tube.boreMm() / 2;
        pen.rect("lug part-barrel", along[0], y - tube.outerMm() / 2, length, tube.outerMm());
        pen.line("hidden", along[0], y - bore, along[1], y - bore);
        pen.line("hidden", along[0], y + bore, along[1], y + bore);
    }
}
