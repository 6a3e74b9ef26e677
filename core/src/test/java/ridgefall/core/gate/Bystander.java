package ridgefall.core.gate;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import ridgefall.core.bond.BondFact;
import ridgefall.core.bond.FilmFact;
import ridgefall.core.bond.JoinFact;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.clean.CleanFact;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.CoverKind;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.seal.SealFact;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.StripFact;

/**
 * Somebody who stands by while a device is worked on, and knows no steps: only what lies over what, what is on, live, wet or broken. Told
 * what hands do, it raises its voice when that cannot be, or does harm. It shares nothing with the course but the facts.
 */
final class Bystander {
    private static final long PRIMER_GOOD_S = 3600;

    private final ProfileDocument device;
    private final Set<String> heard = new LinkedHashSet<>();

    private boolean on = true;
    private boolean cardsIn = true;
    private boolean cannotSwitchOff;
    private boolean gloves;
    private boolean taped;
    private FrontCondition glass = FrontCondition.INTACT;
    private boolean batteryInCircuit = true;
    private boolean frontShut = true;
    private boolean frontSealed;
    private boolean backTouched;
    private boolean wetWithSolvent;
    private boolean bent;
    private boolean joinsGlass;
    private boolean joined;
    private boolean oldFrontAway;
    private Instant primedAt;
    private final Set<String> home = new HashSet<>();
    private final Set<String> screwsIn = new HashSet<>();
    private final Set<String> screwsLost = new HashSet<>();
    private final Set<String> thingsOff = new HashSet<>();
    private final Set<String> films = new HashSet<>();
    private final Map<Long, DamageFact.Mishap> unseen = new HashMap<>();
    private final Set<Double> wedges = new HashSet<>();
    private final Set<String> asked = new HashSet<>();

    Bystander(DeviceProfile profile) {
        device = profile.document();
        device.connectors().forEach(plug -> home.add(plug.id()));
        device.screws().stream().filter(screw -> !screw.laterLayer()).forEach(screw -> screwsIn.add(screw.id()));
        filmsOn();
    }

    private void filmsOn() {
        films.clear();
        device.covers().forEach(cover -> films.add(cover.id()));
    }

    /** What it said of a whole journal. */
    static Collection<String> of(DeviceProfile profile, List<Entry> effective) {
        Bystander bystander = new Bystander(profile);
        effective.forEach(bystander::told);
        return bystander.heard;
    }

    private void say(boolean wrong, String words) {
        if (wrong) {
            heard.add(words);
        }
    }

    private void told(Entry entry) {
        Fact fact = entry.fact();
        if (fact instanceof IntakeFact.FrontSeen f) {
            glass = f.condition();
        } else if (fact instanceof IntakeFact.BendMarked f) {
            // Less than two millimetres tape may well bear.
            bent |= f.gapMm() > 2;
        } else if (fact instanceof BondFact.CornerMeasured f) {
            bent = f.gapMm() > 2;
        } else if (fact instanceof IntakeFact.PowerSeen f) {
            // Said again later it is a correction, and nobody's hand at the key.
            on = asked.add("power") ? !f.canSwitchOff() : on;
            cannotSwitchOff = !f.canSwitchOff();
        } else if (fact instanceof DecideFact.RepairAgreed f) {
            joinsGlass = device.repairs().stream()
                    .filter(repair -> repair.id().equals(f.repairId()))
                    .anyMatch(repair ->
                            !device.opticalBonds().isEmpty() && repair.parts().contains(PartKind.OPTICAL_LIQUID));
        } else if (fact instanceof FunctionTested f) {
            tested(f);
        } else if (fact instanceof CheckAnswered f) {
            checked(f);
        } else if (fact instanceof HeatFact.SoakStarted) {
            say(on && !cannotSwitchOff, "warmed while it is on");
            say(broken() && !taped, "broken glass warmed untaped");
            say(wetWithSolvent, "warmed while solvent is wet");
            say(!frontShut, "warmed with the front open");
        } else if (fact instanceof SeparateFact.SolventLaid) {
            wetWithSolvent = true;
        } else if (fact instanceof SeparateFact.SolventDry) {
            wetWithSolvent = false;
        } else if (fact instanceof SeparateFact.WedgeSet f) {
            wedges.add(f.positionMm());
        } else if (fact instanceof SeparateFact.WedgePulled f) {
            wedges.remove(f.positionMm());
        } else if (fact instanceof SeparateFact.StretchFreed) {
            say(on && !cannotSwitchOff, "cut or unclipped while it is on");
            say(broken() && !taped, "broken glass bent untaped");
            say(broken() && !gloves, "broken glass touched without gloves");
        } else if (fact instanceof SeparateFact.FrontOpened) {
            say(batteryInCircuit && reachedFromBehind(), "front lifted over a battery that could have been apart");
            frontShut = false;
        } else if (fact instanceof DamageFact.MishapSeen f) {
            unseen.put(entry.seq(), f.mishap());
        } else if (fact instanceof StripFact f) {
            inside(f);
        } else if (fact instanceof CarryFact.CarriedOver || fact instanceof CopyFact.CopyBegun) {
            say(plugged(), "moved while the front hangs on its plugs");
        } else if (fact instanceof CleanFact f) {
            cleaned(f, entry.happenedAt());
        } else if (fact instanceof JoinFact f) {
            joined(f);
        } else if (fact instanceof BondFact.StripLaid) {
            laid(entry.happenedAt());
        } else if (fact instanceof SealFact f) {
            sealed(f);
        } else if (fact instanceof DetourFact.Reopened) {
            frontSealed = false;
            frontShut = true;
            on = false;
            device.connectors().forEach(plug -> home.add(plug.id()));
            batteryInCircuit = true;
            filmsOn();
            unseen.clear();
            wetWithSolvent = false;
            oldFrontAway = false;
        } else if (fact instanceof PartsFact.PartSwapped f) {
            filmsOn();
            joined = false;
            if (!f.pluggedIn()) {
                // It goes to the returns with no plug in it.
                device.connectors().stream()
                        .filter(plug -> plug.role() != PlugRole.BATTERY)
                        .forEach(plug -> home.remove(plug.id()));
            }
        } else if (fact instanceof ProveFact.HandedOver) {
            overTheCounter();
        }
    }

    private boolean broken() {
        return glass != FrontCondition.INTACT;
    }

    private boolean reachedFromBehind() {
        return device.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY)
                .allMatch(plug -> over(plug.coveredBy()).stream().noneMatch(ProfileDocument.FRONT::equals));
    }

    /** All that lies over something that is covered by these. */
    private Set<String> over(Collection<String> coveredBy) {
        Set<String> all = new LinkedHashSet<>();
        for (String id : coveredBy) {
            all.add(id);
            device.inside().stream()
                    .filter(thing -> thing.id().equals(id))
                    .forEach(thing -> all.addAll(over(thing.coveredBy())));
        }
        return all;
    }

    private List<Screw> holding(String thingId) {
        return device.screws().stream()
                .filter(screw -> thingId.equals(screw.holds()))
                .toList();
    }

    /** Whatever lies over it comes away, or is still screwed down. */
    private void uncover(String what, Collection<String> coveredBy) {
        for (String id : over(coveredBy)) {
            if (id.equals(ProfileDocument.FRONT)) {
                say(frontShut, what + " reached with the front shut");
            } else {
                say(
                        holding(id).stream().anyMatch(screw -> screwsIn.contains(screw.id())),
                        what + " under " + id + " that is screwed down");
                thingsOff.add(id);
            }
        }
    }

    /** As it came; a new one may hang there while its seat is laid. */
    private boolean frontPlugged() {
        return !oldFrontAway && plugged();
    }

    private boolean plugged() {
        return device.connectors().stream()
                .filter(plug -> plug.role() != PlugRole.BATTERY)
                .anyMatch(plug -> home.contains(plug.id()));
    }

    private void tested(FunctionTested f) {
        if (f.answer() == Answer.CANNOT_TEST) {
            asked.add(f.functionId());
            return;
        }
        switch (f.phase()) {
            case BEFORE -> {
                // What was seen then may be put right later.
                if (!asked.add(f.functionId())) {
                    return;
                }
                say(!on, "asked as it came, though it was switched off: " + f.functionId());
                say(!cardsIn, "asked as it came, though its cards were out: " + f.functionId());
                say(!frontShut, "asked as it came, though it is open: " + f.functionId());
            }
            case OPEN -> {
                say(!on, "tested while dark: " + f.functionId());
                say(frontSealed, "tested open, though it is sealed: " + f.functionId());
            }
            case AFTER -> {
                say(!on, "tested closed while dark: " + f.functionId());
                say(!frontShut, "tested closed with the front open: " + f.functionId());
                say(backOff(), "tested closed with the back off: " + f.functionId());
            }
        }
    }

    private boolean backOff() {
        return device.inside().stream()
                .anyMatch(thing -> thing.kind() == InsideKind.BACK && thingsOff.contains(thing.id()));
    }

    private void checked(CheckAnswered f) {
        if (f.answer() != Answer.PASS) {
            return;
        }
        String id = f.checkId();
        switch (id) {
            case "intake.cards", "heat.cleared" -> cardsIn = false;
            case "heat.powered" -> on = asked.add(id) ? cannotSwitchOff : on;
            case "heat.guarded", "separate.guarded" -> gloves = true;
            case "heat.taped", "separate.taped" -> {
                say(!gloves, "broken glass taped without gloves");
                taped = true;
            }
            case "heat.battery-out" -> {
                say(on && !cannotSwitchOff, "battery taken out while it is on");
                say(cardsIn, "back taken off with the cards in");
                device.connectors().stream()
                        .filter(plug -> plug.role() == PlugRole.BATTERY)
                        .forEach(plug -> {
                            uncover("battery", plug.coveredBy());
                            home.remove(plug.id());
                        });
                apart();
            }
            case "seal.straight" -> {
                say(batteryInCircuit, "frame bent with the battery in circuit");
                say(frontPlugged(), "frame bent with the front on");
                bent = false;
            }
            case "test.plugged" -> {
                say(!screwsLost.isEmpty(), "power on with a lost screw");
                say(unseen.containsValue(DamageFact.Mishap.SCREW_DROPPED), "power on with a dropped screw inside");
                say(unseen.containsValue(DamageFact.Mishap.SOLVENT_SPILLED), "power on while solvent may be inside");
                device.connectors().forEach(plug -> home.add(plug.id()));
                batteryInCircuit = true;
                on = true;
            }
            case "carry.new-shows", "carry.panel-shows" ->
                say(unseen.containsValue(DamageFact.Mishap.SCREW_DROPPED), "power on with a dropped screw inside");
            case "bond.ring" -> laid(null);
            case "bond.optical" -> joined = true;
            default -> other(id);
        }
    }

    private void other(String id) {
        if (id.startsWith("test.home-")) {
            home.add(id.substring("test.home-".length()));
        } else if (id.startsWith("test.after-")) {
            unseen.remove(Long.valueOf(id.substring("test.after-".length())));
        } else if (id.startsWith("seal.on-")) {
            String thing = id.substring("seal.on-".length());
            putOn(thing);
        }
    }

    /** Nothing that belongs under it may still be off. */
    private void putOn(String thingId) {
        thingsOff.remove(thingId);
        for (Inside under : device.inside()) {
            say(
                    under.coveredBy().contains(thingId)
                            && thingsOff.contains(under.id())
                            && holding(under.id()).isEmpty(),
                    thingId + " put on over " + under.id() + ", which is off");
        }
        for (Connector plug : device.connectors()) {
            say(
                    plug.coveredBy().contains(thingId) && !home.contains(plug.id()) && plug.role() != PlugRole.BATTERY,
                    thingId + " put on over " + plug.id() + ", which is off");
        }
        for (Screw screw : device.screws()) {
            say(
                    screw.coveredBy().contains(thingId)
                            && !screw.laterLayer()
                            && !screwsIn.contains(screw.id())
                            && !screwsGone.contains(screw.id()),
                    thingId + " put on over the empty hole " + screw.id());
        }
    }

    private final Set<String> screwsGone = new HashSet<>();

    private void apart() {
        batteryInCircuit = false;
        on = false;
    }

    private void inside(StripFact fact) {
        if (fact instanceof StripFact.BatteryIsolated) {
            device.connectors().stream()
                    .filter(plug -> plug.role() == PlugRole.BATTERY)
                    .forEach(plug -> uncover("battery", plug.coveredBy()));
            apart();
        } else if (fact instanceof StripFact.IsolationProven) {
            say(batteryInCircuit, "proven dark with the battery in circuit");
        } else if (fact instanceof StripFact.PlugFreed f) {
            Connector plug = device.connectors().stream()
                    .filter(one -> one.id().equals(f.plugId()))
                    .findFirst()
                    .orElseThrow();
            uncover(f.plugId(), plug.coveredBy());
            boolean onTheWay = device.connectors().stream()
                    .filter(battery -> battery.role() == PlugRole.BATTERY)
                    .anyMatch(battery -> over(battery.coveredBy()).stream()
                            .anyMatch(id ->
                                    plug.cable() != null && plug.cable().from().equals(id)));
            say(batteryInCircuit && plug.needsIsolation() && !onTheWay, f.plugId() + " pulled while live");
            home.remove(f.plugId());
            oldFrontAway |= !plugged();
        } else if (fact instanceof StripFact.ScrewsMoved f) {
            f.holeIds().forEach(hole -> moved(hole, f.where()));
        } else if (fact instanceof StripFact.ScrewTold f) {
            moved(f.holeId(), f.where());
        } else if (fact instanceof StripFact.ScrewDriven f) {
            moved(f.holeId(), ScrewAt.Where.ANOTHER);
        } else if (fact instanceof StripFact.ScrewsCounted f) {
            screwsIn.clear();
            if (f.direction() == StripFact.Count.IN) {
                device.screws().forEach(screw -> screwsIn.add(screw.id()));
            }
        }
    }

    private void moved(String hole, ScrewAt.Where where) {
        switch (where) {
            case BACK, ANOTHER -> {
                Screw screw = device.screws().stream()
                        .filter(one -> one.id().equals(hole))
                        .findFirst()
                        .orElseThrow();
                screwsIn.add(hole);
                screwsLost.remove(hole);
                if (screw.holds() != null
                        && holding(screw.holds()).stream()
                                .allMatch(one -> screwsIn.contains(one.id()) || screwsGone.contains(one.id()))) {
                    putOn(screw.holds());
                }
            }
            case LOST -> {
                screwsIn.remove(hole);
                screwsLost.add(hole);
            }
            case ABSENT, EMPTY -> {
                screwsIn.remove(hole);
                screwsLost.remove(hole);
                screwsGone.add(hole);
            }
            case OUT -> {
                if (screwsIn.remove(hole)) {
                    Screw screw = device.screws().stream()
                            .filter(one -> one.id().equals(hole))
                            .findFirst()
                            .orElseThrow();
                    uncover("screw " + hole, screw.coveredBy());
                }
                screwsLost.remove(hole);
            }
            case RENEWED -> screwsLost.remove(hole);
            case STUCK -> {}
        }
    }

    private void cleaned(CleanFact fact, Instant at) {
        boolean works = fact instanceof CleanFact.GlueOff
                || fact instanceof CleanFact.Wiped
                || fact instanceof CleanFact.Primed;
        say(works && frontPlugged(), "ledge worked on while the front hangs on its plugs");
        say(works && batteryInCircuit, "ledge worked on with the battery in circuit");
        if (fact instanceof CleanFact.Primed) {
            say(joinsGlass && !joined, "primed before the glass is joined: it ages meanwhile");
            primedAt = at;
        }
    }

    private void joined(JoinFact fact) {
        if (fact instanceof JoinFact.LiquidLaid || fact instanceof FilmFact.FilmLaid) {
            say(
                    device.covers().stream()
                            .anyMatch(cover -> cover.kind() == CoverKind.FILM && films.contains(cover.id())),
                    "a film is trapped under joined glass");
        }
    }

    private void laid(Instant at) {
        say(
                primedAt != null && at != null && at.isAfter(primedAt.plusSeconds(PRIMER_GOOD_S)),
                "taped on primer that is too old");
        say(bent, "laid on a bent frame");
        say(frontPlugged(), "laid while the old front hangs on its plugs");
    }

    private void sealed(SealFact fact) {
        if (fact instanceof SealFact.CoverRemoved f) {
            films.remove(f.coverId());
        } else if (fact instanceof SealFact.Sealed) {
            say(!films.isEmpty(), "sealed over films and liners");
            say(!wedges.isEmpty(), "sealed over a wedge");
            say(
                    !unseen.isEmpty()
                            && unseen.values().stream()
                                    .anyMatch(what ->
                                            what != DamageFact.Mishap.PICK_LOST && what != DamageFact.Mishap.NEW_CRACK),
                    "sealed over what nobody looked after: " + unseen.values());
            say(!screwsLost.isEmpty(), "sealed over a lost screw");
            say(!on, "sealed while dark: nothing of it was proven");
            closed();
            frontShut = true;
            frontSealed = true;
        }
    }

    private void closed() {
        List<String> off = thingsOff.stream()
                .filter(id -> holding(id).isEmpty())
                .filter(id -> device.inside().stream()
                        .filter(thing -> thing.id().equals(id))
                        .noneMatch(thing -> thing.kind() == InsideKind.PANEL || thing.kind() == InsideKind.BATTERY))
                .sorted()
                .collect(Collectors.toCollection(ArrayList::new));
        say(!off.isEmpty(), "closed with something off: " + off);
    }

    private void overTheCounter() {
        closed();
        say(!frontShut, "handed over open");
        say(!wedges.isEmpty(), "handed over with a wedge in");
    }
}
