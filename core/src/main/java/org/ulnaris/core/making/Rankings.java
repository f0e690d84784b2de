package org.ulnaris.core.making;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import org.ulnaris.core.contact.ContactChooser;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugChooser;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;

/** How the parts of a shop rank for what ends ask of them. What many ends ask alike is worked out once and shared by their plans. */
final class Rankings {
    /** Fits of each kind of part that are kept for all demands, about 100 bytes each: a thousand cables over 2,000 lugs take half of it. */
    private static final long MOST_FITS = 50_000;

    private static final long MOST_AREAS = 500;

    private final Shop shop;
    private final Cache<LugAsk, List<LugFit>> lugs = kept();
    private final Cache<ContactAsk, List<ContactFit>> contacts = kept();
    private final Cache<DieAsk, List<Crimp>> dies = kept();
    private final Cache<HandyAsk, Handiness> handy =
            Caffeine.newBuilder().maximumSize(MOST_AREAS).build();

    Rankings(Shop shop) {
        this.shop = shop;
    }

    private record LugAsk(LugDemand demand, MarkRule marks) {}

    private record ContactAsk(Family family, ContactDemand demand, MarkRule marks) {}

    private record DieAsk(double areaMm2, Barrel tube, MarkRule marks) {}

    private record HandyAsk(double areaMm2, MarkRule marks) {}

    private static <K extends Record, T> Cache<K, List<T>> kept() {
        return Caffeine.newBuilder()
                .maximumWeight(MOST_FITS)
                .weigher((K ask, List<T> ranked) -> 1 + ranked.size())
                .build();
    }

    /** What is at hand for {@code areaMm2} of conductor in a tube, mm². */
    Handiness handy(double areaMm2, MarkRule marks) {
        return handy.get(new HandyAsk(areaMm2, marks), ask -> new Handiness(shop, ask.areaMm2(), ask.marks()));
    }

    /** The lugs that could be considered, best first. */
    List<LugFit> lugs(LugDemand demand, MarkRule marks) {
        Handiness near = handy(demand.areaMm2(), marks);
        return lugs.get(
                new LugAsk(demand, marks),
                ask -> LugChooser.rank(
                        shop.lugs(), ask.demand(), lug -> near.unhandy(lug.code(), Optional.of(lug.barrel()))));
    }

    /** The contacts of {@code family}, best first. */
    List<ContactFit> contacts(Family family, ContactDemand demand, MarkRule marks) {
        Handiness near = handy(demand.cable().conductor().size().areaMm2(), marks);
        return contacts.get(
                new ContactAsk(family, demand, marks),
                ask -> ContactChooser.rank(
                        shop.contacts(),
                        ask.family(),
                        ask.demand(),
                        contact -> near.unhandy(contact.code(), contact.tube())));
    }

    /** The dies for lugs with what they do to {@code areaMm2} of conductor in {@code tube}, best first. */
    List<Crimp> dies(double areaMm2, Barrel tube, MarkRule marks) {
        return dies.get(
                new DieAsk(areaMm2, tube, marks),
                ask -> DieChooser.rank(shop.dies(), ask.areaMm2(), ask.tube(), ask.marks()));
    }
}
