package org.ulnaris.app.crib;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.ulnaris.core.crimp.VoidScore;

/** Reads the photo of a sawn crimp and has its voids scored; the photo is not kept. */
final class SamplePhoto {
    /** Longest side that is looked at; larger photos are thinned out while they are read, so that none fills the memory. */
    private static final int LONGEST_SIDE = 1200;

    /** A camera gives less; a progressive picture is held whole while it is read. */
    private static final long MOST_PIXELS = 50_000_000;

    private static final Set<String> FORMATS = Set.of("jpeg", "png");

    private SamplePhoto() {}

    /** Open share of the section, %; empty when the file is no picture, or shows no bright section on a dark ground. */
    static OptionalDouble voidsPercent(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return OptionalDouble.empty();
            }
            ImageReader reader = readers.next();
            if (!FORMATS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                return OptionalDouble.empty();
            }
            try {
                reader.setInput(in);
                return scored(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException | VoidScore.NoSectionException e) {
            // A damaged file makes the platform's readers fail in more ways than they declare.
            return OptionalDouble.empty();
        }
    }

    private static OptionalDouble scored(ImageReader reader) throws IOException, VoidScore.NoSectionException {
        int longest = Math.max(reader.getWidth(0), reader.getHeight(0));
        if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
            return OptionalDouble.empty();
        }
        ImageReadParam thin = reader.getDefaultReadParam();
        int step = Math.max(1, (longest + LONGEST_SIDE - 1) / LONGEST_SIDE);
        thin.setSourceSubsampling(step, step, 0, 0);
        BufferedImage picture = reader.read(0, thin);
        int width = picture.getWidth();
        int[] grey = picture.getRGB(0, 0, width, picture.getHeight(), null, 0, width);
        for (int i = 0; i < grey.length; i++) {
            int rgb = grey[i];
            grey[i] = (299 * (rgb >> 16 & 255) + 587 * (rgb >> 8 & 255) + 114 * (rgb & 255)) / 1000;
        }
        return OptionalDouble.of(VoidScore.percent(grey, width));
    }
}
