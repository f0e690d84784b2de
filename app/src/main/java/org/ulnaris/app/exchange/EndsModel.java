package org.ulnaris.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkChoice;

/** Request and answer of {@code POST /api/v1/ends}. */
final class EndsModel {
    private static final int DIGITS = 6;
    private static final int MOST_PROPOSALS = 12;

    private EndsModel() {}

    /** Body as OpenAPI shows it; only conductor and, for a lug, landing have to be there. */
    record EndRequest(ConductorPart conductor, LandingPart landing, EnvironmentPart environment, SchoolsPart schools) {
        record ConductorPart(
                String size,
                @Nullable ConductorMetal strands,
                @Nullable Double outerMm,
                @Nullable Integer count) {}

        record LandingPart(
                String stud,
                @Nullable Double clearWidthMm,
                @Nullable Double studLengthMm,
                @Nullable Double leaveDeg,
                @Nullable Double wallReachMm,
                @Nullable Double neighbourMm,
                @Nullable Double headroomMm,
                @Nullable Double secondStudMm,
                @Nullable Integer angleDeg) {}

        record EnvironmentPart(
                @Nullable Place place,
                @Nullable Double currentA,
                @Nullable Double wireA) {}

        record SchoolsPart(
                @Nullable Family family,
                @Nullable JoinMethod joined,
                @Nullable Boolean openTerminals,
                @Nullable Boolean fullStrokeOnly) {}
    }

    /** A part that could be taken, best first. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Proposal(
            String code,
            Verdict verdict,
            @Nullable Integer onShelf,
            @Nullable Boolean diesInCrib,
            List<ApiModel.FindingPart> findings) {}

    /** The best of them with all that follows. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Chosen(
            String code,
            Verdict verdict,
            double stripMm,
            @Nullable String dies,
            @Nullable String tool,
            @Nullable Double compaction,
            @Nullable Integer crimps,
            @Nullable String sleeve,
            @Nullable Double sleeveCutMm,
            List<ApiModel.FindingPart> findings) {
        static Chosen of(Termination end) {
            Crimp crimp = end.crimp();
            ShrinkChoice sleeve = end.sleeve();
            MatchedLug.Tooling tooling = end instanceof MatchedLug lug ? lug.tooling() : null;
            String dies = crimp == null ? null : crimp.die().tag();
            if (end instanceof MatchedContact contact && contact.die() != null) {
                dies = contact.die().tag();
            }
            return new Chosen(
                    end.code(),
                    end.verdict(),
                    Figures.rounded(end.stripMm(), DIGITS),
                    dies,
                    tooling == null ? null : tooling.tool().tag(),
                    crimp == null ? null : Figures.rounded(crimp.compaction(), DIGITS),
                    crimp == null ? null : crimp.crimps(),
                    sleeve == null || sleeve.tube() == null
                            ? null
                            : sleeve.tube().name(),
                    sleeve == null ? null : Figures.rounded(sleeve.cover().cutLengthMm(), DIGITS),
                    parts(end.findings()));
        }
    }

    /** Answer; {@code chosen} is null where the catalogue has nothing near. */
    record EndAnswer(
            @JsonInclude(JsonInclude.Include.ALWAYS) @Nullable
            Chosen chosen,

            List<Proposal> proposals) {
        static EndAnswer of(EndPlan plan) {
            Termination end = plan.termination();
            Stream<Proposal> lugs = plan.lugs().stream()
                    .map(fit -> new Proposal(
                            fit.lug().code(),
                            fit.verdict(),
                            count(plan, fit.lug().code()),
                            plan.handy().pressed(fit.lug().barrel()),
                            parts(fit.findings())));
            Stream<Proposal> contacts = plan.contacts().stream()
                    .map(fit -> new Proposal(
                            fit.contact().code(),
                            fit.verdict(),
                            count(plan, fit.contact().code()),
                            fit.contact().tube().map(plan.handy()::pressed).orElse(null),
                            parts(fit.findings())));
            return new EndAnswer(
                    end == null ? null : Chosen.of(end),
                    Stream.concat(lugs, contacts).limit(MOST_PROPOSALS).toList());
        }

        private static @Nullable Integer count(EndPlan plan, String code) {
            return plan.handy().onShelf(code).isEmpty()
                    ? null
                    : Integer.valueOf(plan.handy().onShelf(code).getAsInt());
        }
    }

    private static List<ApiModel.FindingPart> parts(List<Finding> findings) {
        return findings.stream().map(ApiModel.FindingPart::of).toList();
    }
}
