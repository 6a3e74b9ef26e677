package ridgefall.core.job;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;

/** Says facts, each in one line, for the journal, the undo button and the record. Numbers stay in {@code {unit:value}}. */
public record FactWords(DeviceProfile profile, Map<String, String> titles, Map<Long, Fact> facts) {

    /**
     * @param steps of the job's course: facts that answer one are named by its title
     * @param holds what a lead may sign off besides steps, by id, in words
     * @param journal of the job: what was taken back is named by what it was
     */
    public static FactWords of(
            DeviceProfile profile, List<Step> steps, Map<String, String> holds, List<Entry> journal) {
        Map<String, String> titles = new HashMap<>(holds);
        steps.forEach(step -> titles.putIfAbsent(step.id(), step.title()));
        return new FactWords(profile, titles, journal.stream().collect(Collectors.toMap(Entry::seq, Entry::fact)));
    }

    public String say(Fact fact) {
        if (fact instanceof Fact.JobOpened f) {
            return "Taken in: " + f.fault();
        } else if (fact instanceof Fact.FrontSeen f) {
            return "Front glass " + f.condition().words();
        } else if (fact instanceof Fact.CrackMarked f) {
            return "Crack over the "
                    + profile.placeName(profile.edge().landmarkAt(f.fromMm()))
                    + (f.lengthMm() == 0 ? "" : ", {mm:" + f.lengthMm() + "} along it");
        } else if (fact instanceof IntakeFact f) {
            return intake(f);
        } else if (fact instanceof PartsFact.PartReserved f) {
            return "Taken off the shelf: " + f.words();
        } else if (fact instanceof PartsFact.PartReturned) {
            return "A part went back to the shelf";
        } else if (fact instanceof Fact.ReplacementPriced f) {
            return "Another one costs " + f.price() + " " + f.currency();
        } else if (fact instanceof Fact.NotWorthIt f) {
            return "Not worth it: " + f.reason() + ", agreed by " + f.agreedBy();
        } else if (fact instanceof Fact.BatterySeen f) {
            return "Battery " + lower(f.battery());
        } else if (fact instanceof Fact.PowerSeen f) {
            return f.canSwitchOff() ? "Switched off" : "Can't be switched off";
        } else if (fact instanceof Fact.FunctionTested f) {
            String words = profile.function(f.functionId())
                    .map(ProfileDocument.Function::words)
                    .orElse(f.functionId());
            return words + ": " + Checks.words(f.answer()) + because(f.reason());
        } else if (fact instanceof Fact.RepairAgreed f) {
            return "Agreed: " + profile.repair(f.repairId()).words()
                    + (f.grade() == null ? "" : ", " + f.grade().words()) + ", " + f.price() + " " + f.currency()
                    + ", by " + f.agreedBy();
        } else if (fact instanceof Fact.CheckAnswered f) {
            return title(f.checkId()) + ": "
                    + switch (f.answer()) {
                        case PASS -> "right";
                        case FAIL -> "not right";
                        case CANNOT_TEST -> "cannot be tested";
                    }
                    + because(f.reason());
        } else if (fact instanceof Fact.SoakStarted f) {
            return (f.sweep() == Fact.Sweep.FACE ? "Laid on " : "Warmed with ")
                    + f.sourceId().replace('-', ' ') + " at {C:" + f.settingC() + "} for {s:" + f.seconds() + "}"
                    + switch (f.sweep()) {
                        case FACE -> "";
                        case ROUND -> ", round the border";
                        case STRETCH_BY_STRETCH -> " a stretch";
                    };
        } else if (fact instanceof Fact.SettingChanged f) {
            return "Source set to {C:" + f.settingC() + "}";
        } else if (fact instanceof Fact.LyingChanged f) {
            return f.flat() ? "Lies flat again" : "Slipped: lies on an edge only";
        } else if (fact instanceof Fact.PickTried f) {
            return f.goesIn() ? "Pick goes in" : "Pick does not go in yet";
        } else if (fact instanceof Fact.SoakEnded) {
            return "Off the source";
        } else if (fact instanceof Fact.TemperatureRead f) {
            return "Measured on the " + lower(f.surface()) + ": {C:" + f.celsius() + "}";
        } else if (fact instanceof Fact.StretchFreed f) {
            return title("separate." + f.stretchId()) + ": free";
        } else if (fact instanceof Fact.WedgeSet f) {
            return "Wedge in at {mm:" + f.positionMm() + "}";
        } else if (fact instanceof Fact.WedgePulled f) {
            return "Wedge out at {mm:" + f.positionMm() + "}";
        } else if (fact instanceof Fact.MishapSeen f) {
            return f.mishap().words() + (f.positionMm() == null ? "" : " at {mm:" + f.positionMm() + "}");
        } else if (fact instanceof Fact.FrontOpened) {
            return "Front open and propped";
        } else if (fact instanceof Fact.BatteryIsolated f) {
            return f.how() == Fact.Isolation.UNPLUGGED ? "Battery unplugged" : "Card under the battery contact";
        } else if (fact instanceof Fact.IsolationProven) {
            return "Isolation proven with the power key";
        } else if (fact instanceof Fact.PlugFreed f) {
            return name(f.plugId(), profile.connectors().stream(), Connector::id, Connector::words) + " unplugged";
        } else if (fact instanceof Fact.ScrewsCounted f) {
            return f.screws() + (f.direction() == Count.OUT ? " screws out" : " screws in");
        } else if (fact instanceof Fact.CarriedOver f) {
            return carry(f.partId(), profile) + " carried over";
        } else if (fact instanceof Fact.CarryOverLost f) {
            return carry(f.partId(), profile) + " lost" + because(f.reason());
        } else if (fact instanceof Fact.TimerStarted f) {
            return f.kind().words() + " for {s:" + f.seconds() + "}";
        } else if (fact instanceof Fact.TimerStopped f) {
            return f.kind().words() + ": done";
        } else if (fact instanceof Fact.StripsChosen f) {
            return "Strips " + f.school().words();
        } else if (fact instanceof Fact.StripLaid f) {
            return title("bond." + f.stripId()) + ": laid";
        } else if (fact instanceof Fact.CoverRemoved f) {
            return name(f.coverId(), profile.covers().stream(), Cover::id, Cover::words) + ": off";
        } else if (fact instanceof Fact.Sealed) {
            return "Front sealed";
        } else if (fact instanceof Fact.HandedOver f) {
            return "Handed over to " + f.to();
        } else if (fact instanceof Fact.Undone f) {
            return "Taken back: " + say(facts.get(f.seq()));
        } else if (fact instanceof Fact.HoldOverridden f) {
            return "Signed off by a lead: " + title(f.holdId())
                    + (f.held() == null ? "" : ", to go on with “" + say(f.held()) + "”") + because(f.reason());
        }
        throw new IllegalStateException("no words for " + fact.getClass());
    }

    private String title(String stepId) {
        return titles.getOrDefault(stepId, stepId);
    }

    private static String because(String reason) {
        return reason == null || reason.isBlank() ? "" : ", because " + reason;
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    private static <T> String name(String id, Stream<T> all, Function<T, String> idOf, Function<T, String> words) {
        return all.filter(t -> idOf.apply(t).equals(id)).findFirst().map(words).orElse(id);
    }

    private static String carry(String id, DeviceProfile profile) {
        return name(
                id,
                Stream.concat(
                        profile.carryOvers().stream().map(p -> new String[] {p.id(), p.words()}),
                        profile.pairedParts().stream().map(p -> new String[] {p.id(), p.words()})),
                pair -> pair[0],
                pair -> pair[1]);
    }

    private String intake(IntakeFact fact) {
        if (fact instanceof IntakeFact.SymptomSeen f) {
            return f.symptom().words() + (f.present() ? "" : ": not so after all");
        } else if (fact instanceof IntakeFact.CrackDrawn f) {
            return "Crack drawn, {mm:" + Math.round(Damage.lengthMm(f.line())) + "} long";
        } else if (fact instanceof IntakeFact.DentMarked) {
            return "Dent marked";
        } else if (fact instanceof IntakeFact.BendMarked f) {
            return "Bent: gap of {mm:" + f.gapMm() + "} under the " + profile.placeName(f.corner());
        } else if (fact instanceof IntakeFact.MarkRemoved f) {
            return "Not so after all: " + say(facts.get(f.seq()));
        } else if (fact instanceof IntakeFact.CameBack f) {
            return "Came back: it was job " + f.jobNumber();
        }
        IntakeFact.PhotoTaken photo = (IntakeFact.PhotoTaken) fact;
        return "Photo" + (photo.words() == null || photo.words().isBlank() ? "" : ": " + photo.words());
    }
}
