package org.ulnaris.app.job;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/**
 * The tags of a job. A tag stands for one thing, cable or equipment: findings, files and programs speak of things by their tags alone.
 * Letters' case makes no difference.
 */
@Service
public class Tags {
    /** Longest tag of anything. */
    public static final int LONGEST = 24;

    private final ObjectProvider<Names> features;

    Tags(ObjectProvider<Names> features) {
        this.features = features;
    }

    private List<Names.Name> all(long jobId) {
        return features.stream()
                .flatMap(feature -> feature.names(jobId).stream())
                .toList();
    }

    /** Whether something else than {@code id} of {@code kind} bears the tag. */
    public boolean taken(long jobId, String tag, String kind, long id) {
        return all(jobId).stream()
                .anyMatch(name -> fold(name.tag()).equals(fold(tag))
                        && !(name.id() == id && name.kind().equals(kind)));
    }

    /** All tags that are used, folded by {@link #fold}. */
    public Set<String> used(long jobId) {
        Set<String> used = new HashSet<>();
        all(jobId).forEach(name -> used.add(fold(name.tag())));
        return used;
    }

    /** The tag as it is compared. */
    public static String fold(String tag) {
        return tag.toUpperCase(Locale.ROOT);
    }

    /** {@code wanted}, or where that is used the first of wanted-2, wanted-3, … that is not. */
    public String free(long jobId, String wanted) {
        Set<String> used = used(jobId);
        String free = wanted;
        for (int n = 2; used.contains(fold(free)); n++) {
            String end = "-" + n;
            free = wanted.substring(0, Math.min(wanted.length(), LONGEST - end.length())) + end;
        }
        return free;
    }
}
