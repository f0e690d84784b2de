package org.ulnaris.core.parts;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.ShrinkTube;

/**
 * A part that a shop keeps and buys.
 *
 * @param kind what it is
 * @param code its name, by which it is counted
 */
public record Part(Kind kind, String code) {
    /** Kinds of parts, as they lie on shelves of their own. */
    public enum Kind {
        /** Single-core cable from the reel. */
        CABLE,
        LUG,
        CONTACT,
        /** Adhesive-lined heat-shrink. */
        SLEEVE,
        /** Split tubing. */
        LOOM,
        FUSE,
        /** A nut with its flat and its lock washer. */
        HARDWARE;

        /** Whether it is counted in metres, not in pieces. */
        public boolean byLength() {
            return this == CABLE || this == SLEEVE || this == LOOM;
        }
    }

    private static final Map<Part, Conductor> CABLES = conductors();
    private static final List<Part> STANDARD = parts();

    public Part {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(code, "code");
    }

    public static Part cable(Conductor conductor) {
        String metal = conductor.metal() == ConductorMetal.COPPER ? "" : " " + words(conductor.metal());
        return new Part(Kind.CABLE, "cable " + conductor.size().designation() + metal);
    }

    public static Part lug(Lug lug) {
        return new Part(Kind.LUG, lug.code());
    }

    public static Part contact(Contact contact) {
        return new Part(Kind.CONTACT, contact.code());
    }

    public static Part sleeve(ShrinkTube tube) {
        return new Part(Kind.SLEEVE, "sleeve " + tube.name());
    }

    public static Part loom(RunSleeves.Loom loom) {
        return new Part(Kind.LOOM, "loom " + loom.name());
    }

    public static Part fuse(FuseFamily family, double ratingA) {
        return new Part(Kind.FUSE, "fuse " + words(family) + " " + Figures.significant(ratingA, 6) + " A");
    }

    public static Part hardware(Stud stud) {
        return new Part(Kind.HARDWARE, "nut " + stud.name());
    }

    /** "class T", "breaker one way", "SF30". */
    private static String words(Enum<?> name) {
        return Stream.of(name.name().split("_"))
                .map(word -> word.matches("[A-Z]{2,}") ? word.toLowerCase(Locale.ROOT) : word)
                .collect(Collectors.joining(" "));
    }

    /** Its code without the word for its kind: "70 mm²", "class T 200 A"; the whole of a lug or contact. */
    public String name() {
        return kind == Kind.LUG || kind == Kind.CONTACT ? code : code.substring(code.indexOf(' ') + 1);
    }

    /** The parts of the tables that are neither lug nor contact: cable by size, sleeves, looms and studs by size, fuses by family. */
    public static List<Part> standard() {
        return STANDARD;
    }

    /** Cable by metal and size, with its conductor, in the order of the tables. */
    public static Map<Part, Conductor> cables() {
        return CABLES;
    }

    private static Map<Part, Conductor> conductors() {
        Map<Part, Conductor> cables = new LinkedHashMap<>();
        for (ConductorMetal metal : ConductorMetal.values()) {
            for (SizeSeries series : SizeSeries.values()) {
                List<ConductorSize> sizes = new ArrayList<>(metal.isCopper() ? ConductorSizes.thin(series) : List.of());
                sizes.addAll(ConductorSizes.of(series));
                sizes.stream().map(size -> new Conductor(size, metal)).forEach(one -> cables.put(cable(one), one));
            }
        }
        return Collections.unmodifiableMap(cables);
    }

    private static List<Part> parts() {
        List<Part> parts = new ArrayList<>(CABLES.keySet());
        ShrinkTube.shipped().forEach(tube -> parts.add(sleeve(tube)));
        RunSleeves.looms().forEach(loom -> parts.add(loom(loom)));
        for (FuseFamily family : FuseFamily.values()) {
            family.ratingsA().forEach(rating -> parts.add(fuse(family, rating)));
        }
        Studs.all().forEach(stud -> parts.add(hardware(stud)));
        return List.copyOf(parts);
    }
}
