package org.ulnaris.core.hazards;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.WiringCheck;
import org.ulnaris.core.overcurrent.BankLimits;
import org.ulnaris.core.overcurrent.PanelCheck;
import org.ulnaris.core.overcurrent.PartRatings;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

/** All that is said of an installation: sizes, wiring, protection, what arrives at the loads. */
record Survey(List<Said> said) {
    /** A finding and what it is about. */
    record Said(String tag, Finding finding) {
        FindingCode code() {
            return finding.code();
        }

        Verdict verdict() {
            return finding.verdict();
        }

        @Override
        public String toString() {
            return tag + " " + code() + " " + verdict() + " (" + finding.figure() + " of " + finding.limit() + " "
                    + finding.unit() + ") " + finding.about();
        }
    }

    static Survey of(Installation installation) {
        InstallationResult result = InstallationSolver.solve(installation);
        List<Said> said = new ArrayList<>();
        result.runs()
                .forEach(run -> run.inUse()
                        .findings()
                        .forEach(finding -> said.add(new Said(run.run().tag(), finding))));
        WiringCheck.check(installation).forEach(one -> said.add(new Said(one.tag(), one.finding())));
        ProtectionCheck.check(result).subjects().forEach(one -> said.add(new Said(one.tag(), one.finding())));
        PartRatings.check(result).forEach(one -> said.add(new Said(one.tag(), one.finding())));
        PanelCheck.check(result).forEach(one -> said.add(new Said(one.tag(), one.finding())));
        BankLimits.check(result).forEach(one -> said.add(new Said(one.tag(), one.finding())));
        result.cases()
                .forEach(one ->
                        one.findings(installation).forEach(found -> said.add(new Said(found.load(), found.finding()))));
        return new Survey(said);
    }

    /** What asks for somebody. */
    List<Said> asking() {
        return said.stream().filter(one -> one.verdict().asks()).toList();
    }

    private static boolean isNoteOfASurge(Said one) {
        return one.code() == FindingCode.FUSE_SURGE && one.verdict() == Verdict.NOTE;
    }

    /** Every check with its verdict, whatever the order; one word for a whole job is left out, since it names one of several alike. */
    Set<String> verdicts() {
        return said.stream()
                .filter(one -> one.code() != FindingCode.FUSE_SELECTIVITY && !isNoteOfASurge(one))
                .map(one -> one.tag() + " " + one.code() + " " + one.verdict())
                .collect(Collectors.toSet());
    }
}
