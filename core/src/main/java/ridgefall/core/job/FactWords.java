package ridgefall.core.job;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.DeviceProfile.Part;

/** Says facts, each in one line, for the journal, the undo button and the record. Numbers stay in {@code {unit:value}}. */
public record FactWords(DeviceProfile profile, Map<String, String> titles) {

    /** @param steps of the job's course: facts that answer one are named by its title */
    public static FactWords of(DeviceProfile profile, List<Step> steps) {
        return new FactWords(profile, steps.stream().collect(Collectors.toMap(Step::id, Step::title, (a, b) -> a)));
    }

    public String say(Fact fact) {
        if (fact instanceof Fact.JobOpened f) {
            return "Taken in: " + f.fault();
        } else if (fact instanceof Fact.FrontSeen f) {
            return "Front glass " + f.condition().words();
        } else if (fact instanceof Fact.CrackMarked f) {
            return "Crack at the edge, {mm:" + f.fromMm() + "} along, {mm:" + f.lengthMm() + "} long";
        } else if (fact instanceof Fact.BatterySeen f) {
            return "Battery " + lower(f.battery());
        } else if (fact instanceof Fact.PowerSeen f) {
            return f.canSwitchOff() ? "Switched off" : "Can't be switched off";
        } else if (fact instanceof Fact.FunctionTested f) {
            String words = profile.functions().stream()
                    .filter(x -> x.id().equals(f.functionId()))
                    .findFirst()
                    .map(DeviceProfile.Function::words)
                    .orElse(f.functionId());
            return words + ": " + Checks.words(f.answer()) + because(f.reason());
        } else if (fact instanceof Fact.RepairAgreed f) {
            return "Agreed: " + profile.repair(f.repairId()).words() + ", " + f.price() + " " + f.currency() + ", by "
                    + f.agreedBy();
        } else if (fact instanceof Fact.CheckAnswered f) {
            return title(f.checkId()) + ": "
                    + switch (f.answer()) {
                        case PASS -> "right";
                        case FAIL -> "not right";
                        case CANNOT_TEST -> "cannot be tested";
                    }
                    + because(f.reason());
        } else if (fact instanceof Fact.SoakStarted f) {
            return "Laid on " + f.sourceId().replace('-', ' ') + " at {C:" + f.settingC() + "} for {s:" + f.seconds()
                    + "}";
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
            return name(f.plugId(), profile.connectors()) + " unplugged";
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
            return name(f.coverId(), profile.covers()) + ": off";
        } else if (fact instanceof Fact.Sealed) {
            return "Front sealed";
        } else if (fact instanceof Fact.HandedOver f) {
            return "Handed over to " + f.to();
        } else if (fact instanceof Fact.Undone f) {
            return "Taken back: number " + f.seq();
        } else if (fact instanceof Fact.HoldOverridden f) {
            return "Signed off by a lead: " + f.holdId() + because(f.reason());
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

    private static String name(String id, List<Part> parts) {
        return parts.stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .map(Part::words)
                .orElse(id);
    }

    private static String carry(String id, DeviceProfile profile) {
        return profile.carryOvers().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .map(DeviceProfile.CarryOver::words)
                .orElse(id);
    }
}
