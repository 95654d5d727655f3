package org.stratopneum.web.due.today;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.due.DueEntry;
import org.stratopneum.web.platform.wording.Wording;

/** Says what to do now over all bikes: let air out, pump, find a leak, see to the sealant, read the gauges, or ride. */
@Component
class Headlines {

    private static final List<String> NUMBERS = List.of("no", "one", "two", "three", "four", "five", "six");

    private final Wording wording;

    Headlines(Wording wording) {
        this.wording = wording;
    }

    /** What is amiss: the wheels in each state, and the matters that pumping does not mend. */
    private record Amiss(
            List<String> over,
            List<String> low,
            List<String> high,
            List<String> unread,
            List<String> dry,
            List<DueEntry> leaks,
            List<DueEntry> sealant) {}

    TodayPage.Headline of(List<BikeCard.Face> bikes, DueEntries.All all) {
        Amiss amiss = new Amiss(
                wheels(bikes, "blocks"),
                wheels(bikes, "below"),
                wheels(bikes, "above"),
                wheels(bikes, "none"),
                bikes.stream()
                        .filter(bike -> bike.wheels().stream().anyMatch(BikeCard.WheelCard::dry))
                        .map(BikeCard.Face::name)
                        .toList(),
                due(all, "bubble"),
                due(all, "drop"));
        Optional<DueEntry> first =
                amiss.leaks.stream().findFirst().or(() -> amiss.sealant.stream().findFirst());
        return new TodayPage.Headline(
                text(amiss),
                why(amiss),
                first.map(this::act).orElse(null),
                first.map(matter -> matter.icon().equals("bubble") ? leak(matter) : matter.path())
                        .orElse(null),
                first.map(DueEntry::icon).orElse(null));
    }

    private static String leak(DueEntry matter) {
        return matter.kind() == DueEntry.Kind.CARD ? matter.path() : "/wheels/" + matter.wheel() + "/leak";
    }

    private List<String> wheels(List<BikeCard.Face> bikes, String state) {
        return bikes.stream()
                .flatMap(bike -> bike.wheels().stream()
                        .filter(wheel -> wheel.state().equals(state))
                        .map(wheel -> bike.name() + " " + wording.of("position", wheel.position())))
                .toList();
    }

    private static List<DueEntry> due(DueEntries.All all, String icon) {
        return all.matters().stream()
                .filter(matter -> matter.bike() != null && matter.icon().equals(icon) && matter.isDueOn(all.today()))
                .toList();
    }

    private String text(Amiss amiss) {
        if (!amiss.over.isEmpty()) {
            return wording.text("today.head.over", list(amiss.over));
        }
        int set = amiss.low.size() + amiss.high.size();
        if (set > 0) {
            String key = amiss.high.isEmpty() ? "low" : amiss.low.isEmpty() ? "high" : "set";
            return wording.text(
                    "today.head." + key, set, set < NUMBERS.size() ? NUMBERS.get(set) : String.valueOf(set));
        }
        if (!amiss.leaks.isEmpty()) {
            return wording.text(
                    "today.head.leak",
                    list(amiss.leaks.stream().map(DueEntry::bike).distinct().toList()));
        }
        if (!amiss.sealant.isEmpty()) {
            return wording.text(
                    "today.head.sealant",
                    list(amiss.sealant.stream().map(DueEntry::bike).distinct().toList()));
        }
        return wording.text(amiss.unread.isEmpty() ? "today.head.ready" : "today.head.read");
    }

    private String why(Amiss amiss) {
        List<String> said = new ArrayList<>();
        say(said, "today.why.low", amiss.low);
        say(said, "today.why.high", amiss.high);
        say(
                said,
                "today.why.leak",
                amiss.leaks.stream().map(DueEntry::where).distinct().toList());
        say(said, "today.why.sealant", amiss.dry);
        say(said, "today.why.unread", amiss.unread);
        return String.join(" ", said);
    }

    private void say(List<String> said, String key, List<String> about) {
        if (!about.isEmpty()) {
            said.add(wording.text(key, list(about), about.size()));
        }
    }

    private String act(DueEntry matter) {
        if (matter.icon().equals("drop")) {
            return wording.text("today.act.sealant", matter.bike());
        }
        return wording.text(matter.kind() == DueEntry.Kind.CARD ? "today.act.search" : "today.act.leak", matter.bike());
    }

    /** "a", "a and b", "a, b and c". */
    private String list(List<String> parts) {
        if (parts.size() < 2) {
            return String.join("", parts);
        }
        return wording.text(
                "list.and",
                parts.subList(0, parts.size() - 1).stream().collect(Collectors.joining(", ")),
                parts.get(parts.size() - 1));
    }
}
