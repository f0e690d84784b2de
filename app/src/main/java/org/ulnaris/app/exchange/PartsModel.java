package org.ulnaris.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.crib.ToolDetails;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.ToolKind;

/** Parts, dies and tools as the REST interface shows them; what it shows of one it takes of a new one. */
final class PartsModel {
    private static final int DIGITS = 6;

    private PartsModel() {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record LugPart(
            String code,
            LugMaterial material,
            double barrelOdMm,
            double boreIdMm,
            double barrelDepthMm,
            double padWidthMm,
            double holeMm,
            int angleDeg,
            @Nullable Double holePitchMm,
            LugMaterial padMaterial,
            String finish,
            boolean window,
            boolean bellMouth,
            int conductors,
            @Nullable String forSize,
            @Nullable Integer onShelf) {
        static LugPart of(Lug lug, Map<String, Integer> shelf) {
            LugForm form = lug.form();
            return new LugPart(
                    lug.code(),
                    lug.barrel().material(),
                    rounded(lug.barrel().outerMm()),
                    rounded(lug.barrel().boreMm()),
                    rounded(lug.barrel().depthMm()),
                    rounded(lug.pad().widthMm()),
                    rounded(lug.pad().holeMm()),
                    form.angleDeg(),
                    lug.pitchMm() > 0 ? rounded(lug.pitchMm()) : null,
                    form.body().pad(),
                    form.body().tinned() ? "tinned" : "bare",
                    form.body().window(),
                    form.body().bellMouth(),
                    form.conductors(),
                    lug.forSize().isEmpty() ? null : lug.forSize(),
                    shelf.get(lug.code()));
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ContactPart(
            String code,
            Family family,
            Style style,
            double fromMm2,
            double toMm2,
            @Nullable Double tightMm2,
            @Nullable Double reducedFromMm2,
            @Nullable Double ratedA,
            double stripMm,
            String housing,
            double depthMm,
            double reachMm,
            double heightMm,
            @Nullable Double sealFromMm,
            @Nullable Double sealToMm,
            @Nullable Double nutNm,
            @Nullable Double barrelOdMm,
            @Nullable Double boreIdMm,
            @Nullable Integer onShelf) {
        static ContactPart of(Contact contact, Map<String, Integer> shelf) {
            Contact.Wire wire = contact.wire();
            Contact.Seat seat = contact.seat();
            Range seal = seat.seal();
            Barrel tube = contact.measuredTube();
            return new ContactPart(
                    contact.code(),
                    contact.family(),
                    contact.style(),
                    rounded(wire.fromMm2()),
                    rounded(wire.toMm2()),
                    orNull(wire.tightMm2()),
                    orNull(wire.reducedMm2()),
                    orNull(wire.ratedA()),
                    rounded(contact.stripMm()),
                    seat.housing(),
                    rounded(seat.depthMm()),
                    rounded(seat.reachMm()),
                    rounded(seat.heightMm()),
                    seal == null ? null : rounded(seal.above()),
                    seal == null ? null : rounded(seal.upTo()),
                    orNull(seat.nutNm()),
                    tube == null ? null : rounded(tube.outerMm()),
                    tube == null ? null : rounded(tube.boreMm()),
                    shelf.get(contact.code()));
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record DiePart(
            String tag,
            DieShape shape,
            double acrossFlatsMm,
            double widthMm,
            LugMaterial material,
            String family,
            String stamped,
            String series,
            String colour,
            @Nullable String inTool) {
        static DiePart of(CribService.Kept kept) {
            var die = kept.details();
            return new DiePart(
                    die.tag(),
                    die.shape(),
                    rounded(die.acrossFlatsMm()),
                    rounded(die.widthMm()),
                    die.material(),
                    die.family(),
                    die.stamped(),
                    die.series(),
                    die.colour(),
                    kept.inTool());
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ToolPart(
            String tag,
            String name,
            ToolKind kind,
            String family,
            @Nullable Double forceKn,
            @Nullable Double upToMm2,
            boolean fullCycle,
            @Nullable String calibratedOn,
            @Nullable String calibrationDue,
            @Nullable Double torqueFromNm,
            @Nullable Double torqueToNm,
            @Nullable Double spikeMm,
            @Nullable Double dialZeroMm,
            @Nullable Double dialMarkMm,
            @Nullable Double torqueStepNm) {
        static ToolPart of(ToolDetails tool) {
            return new ToolPart(
                    tool.tag(),
                    tool.name(),
                    tool.kind(),
                    tool.family(),
                    tool.forceKn(),
                    tool.upToMm2(),
                    tool.fullCycle(),
                    tool.calibratedOn() == null ? null : tool.calibratedOn().toString(),
                    tool.calibrationDue() == null ? null : tool.calibrationDue().toString(),
                    tool.torqueFromNm(),
                    tool.torqueToNm(),
                    tool.spikeMm(),
                    tool.dialZeroMm(),
                    tool.dialMarkMm(),
                    tool.torqueStepNm());
        }
    }

    record Crib(List<DiePart> dies, List<ToolPart> tools) {}

    /** Where a pair of dies is: in a tool, or without one in its place in the box. */
    record Place(String tag, @Nullable String tool) {}

    /** What a request that changes something must carry as the header {@code header}, with the cookie that came along. */
    record Token(String header, String token) {}

    private static double rounded(double value) {
        return Figures.rounded(value, DIGITS);
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? rounded(value.getAsDouble()) : null;
    }
}
