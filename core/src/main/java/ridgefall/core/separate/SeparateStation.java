package ridgefall.core.separate;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.heat.Setup;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.job.TimerKind;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.PanelType;
import ridgefall.core.separate.CutPlan.Move;
import ridgefall.core.units.NotAllowed;

/** Stretch by stretch in the cheapest order, planned again from where the bench stands after every fact. */
public final class SeparateStation implements StationRoom {
    private static final double LONGEST_WORKABLE_S = 3600;
    private static final String WAY = "separate.way";
    private static final String LIFT = "separate.lift";
    private static final String AIR_OFF = "separate.air-off";
    private static final String DRY = "separate.dry";

    private final Supplier<CutPlan> plan;
    private final HeatStation heat;

    /** @param plan from where the bench stands; asked for only when needed */
    public SeparateStation(Supplier<CutPlan> plan, HeatStation heat) {
        this.plan = plan;
        this.heat = heat;
    }

    @Override
    public Station station() {
        return Station.SEPARATE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        if (!profile.bonded()) {
            return unclipping(profile, state);
        }
        List<Step> steps = new ArrayList<>();
        Optional<Soak> running = HeatState.of(state).runningSoak();
        // Warming again happens here, with the front half free, though its facts are heat's. Air stays on while it is
        // cut.
        boolean airOn = running.filter(SeparateStation::airOn).isPresent();
        running.filter(soak -> !airOn)
                .ifPresent(soak -> steps.add(heat.lifting(soak).at(LIFT, Station.SEPARATE)));
        if (!begun(state)) {
            steps.add(
                    Step.open(WAY, Station.SEPARATE, "Free the front, stretch by stretch", "planned once it is warm"));
            steps.add(opening(profile, state));
            return steps;
        }
        CutPlan way = plan.get();
        creeping(state).ifPresent(steps::add);
        for (String id : SeparateState.of(state).freed()) {
            steps.add(cut(profile, way.stretch(id), null, null).answered("free"));
        }
        boolean warmNow = false;
        for (Move move : way.moves()) {
            boolean next = move == way.moves().get(0);
            if (next
                    && move.warmFirst() != null
                    && running.filter(soak -> !airOn || heat.goesOn(soak)).isEmpty()) {
                Step warm = warm(profile, move.warmFirst(), move.clockwise());
                steps.add(longAtIt(state) ? warm.hinted(LONG_AT_IT + warm.hint()) : warm);
                warmNow = true;
            }
            Step cut = cut(profile, way.stretch(move.stretchId()), move, next ? wedgeNow(way, state) : null);
            if (next
                    && !airOn
                    && move.bondC() < way.coldBelowC()
                    && move.warmings().findAny().isEmpty()) {
                cut = cut.hinted((SeparateState.of(state).wet() ? NO_WETTER : NO_WARMER) + cut.hint());
            }
            steps.add(next && airOn ? cut.waiting(running.get().seq()) : cut);
        }
        boolean open = SeparateState.of(state).frontOpened();
        if (way.again() != null && !warmNow && running.isEmpty() && !open) {
            steps.add(warm(profile, way.again(), way.moves().get(0).clockwise())
                    .titled("Gone cold? Warm it again")
                    .asOptional());
        }
        if (airOn) {
            Step off = Step.open(
                    AIR_OFF,
                    Station.SEPARATE,
                    "Done with the air?",
                    "it stays on while you cut",
                    Step.go("Air off", new HeatFact.SoakEnded(workableSeconds(way))));
            steps.add(way.moves().isEmpty() ? off : off.asOptional());
        }
        steps.add(opening(profile, state));
        if (!open && !way.moves().isEmpty() && running.isEmpty()) {
            steps.add(solvent(profile, state));
        }
        steps.addAll(wedges(profile, state, Station.SEPARATE));
        return steps;
    }

    /** Where it is cold and nothing warms it. */
    private static final String NO_WARMER =
            "as warm as its limits allow: let it lie and warm it again, or go slowly with a thin blade; ";

    /** As long as no plan may take, and still warmed: what is gained by the next warming was gained by the last. */
    private static boolean longAtIt(JobState state) {
        List<Soak> soaks = HeatState.of(state).soaksSinceOpened();
        return !soaks.isEmpty()
                && Duration.between(soaks.get(0).startedAt(), state.latest().happenedAt())
                                .toSeconds()
                        > Opening.LONGEST_S;
    }

    private static final String LONG_AT_IT = "longer at it than any way should take: solvent, another day, "
            + "the battery out first where it comes out from behind, or decline it; ";

    /** Meanwhile nothing is cut. */
    private static Optional<Step> creeping(JobState state) {
        return state.timer(SeparateFact.CREEPING)
                .map(timer -> Step.open(
                                "separate.creeping",
                                Station.SEPARATE,
                                "Solvent creeps in",
                                "air the bench, no flame, no source; more of it where it has drawn in",
                                Step.go("It has crept in", new JobFact.TimerStopped(SeparateFact.CREEPING)))
                        .waiting(timer.seq()));
    }

    /** The cooler school, at any time; what is wet is dry before a source comes near again. */
    private static Step solvent(DeviceProfile profile, JobState state) {
        Step step = SeparateState.of(state).wet()
                ? Step.open(
                        DRY,
                        Station.SEPARATE,
                        "Warm it again? Solvent dry first",
                        "no smell and nothing shines: its vapour catches fire at a source",
                        Step.go("Dry", new SeparateFact.SolventDry()))
                : Step.open(
                        "separate.solvent",
                        Station.SEPARATE,
                        "Sticks though warm? Solvent along the edge",
                        "off every source, no flame, gloves, aired; " + creepsWhere(profile),
                        Step.go("Laid, {s:" + 60 * SeparateFact.CREEPS_MINUTES + "}", new SeparateFact.SolventLaid()));
        return step.asOptional();
    }

    /** What solvent does to what makes the picture. */
    static String creepsWhere(DeviceProfile profile) {
        return profile.document().front().panel() == PanelType.OLED
                ? "none at the OLED's seal: it dies from there"
                : "drop by drop on the blade: between the sheets of an LCD it stays";
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(SeparateFact.CREEPING);
    }

    private static final String NO_WETTER =
            "solvent has done what it does: dry it and warm it again, go slowly with a thin blade, or decline it; ";

    private static boolean airOn(Soak soak) {
        return soak.started().where() != null;
    }

    private Step warm(DeviceProfile profile, Warming warming, boolean clockwise) {
        EdgeInterval where = warming.setup().where();
        String title = "Warm it again";
        String hint = "face down and flat; the timer starts with this tap";
        if (where != null) {
            double pick = clockwise ? where.fromMm() : profile.edge().turn().end(where);
            title = "Warm {mm:" + Math.round(where.lengthMm()) + "} ahead of the pick";
            hint = "from " + PlaceWords.at(profile, pick) + ", to and fro; it stays on while you cut"
                    + warming.source().shieldWords();
        }
        return Step.open(
                "separate.warm",
                Station.SEPARATE,
                title,
                heat.taken(warming.source()).orElse(hint),
                HeatStation.begin(warming.source(), warming.setup(), seconds(warming)),
                HeatStation.GOES_IN);
    }

    private static int seconds(Warming warming) {
        return (int) Math.round(warming.seconds());
    }

    /** Why a cracked front takes no pick anywhere, and what to do about it; null where the cracks are known. */
    public static String unknownCracks(HeatQuestion question) {
        return question.condition() == FrontCondition.CRACKED
                        && question.cracks().isEmpty()
                ? "Where cracks meet the edge is not drawn: a blade all round. Drawn at Intake, a pick goes in where there is none."
                : null;
    }

    /** Whether a soak is one that the way round goes on with. */
    public static boolean warms(CutPlan way, HeatFact.SoakStarted soak) {
        return Stream.concat(
                        Stream.ofNullable(way.again()),
                        way.moves().stream().limit(1).flatMap(Move::warmings))
                .anyMatch(warming -> soak.sourceId().equals(warming.source().id())
                        && Setup.of(soak).equals(warming.setup())
                        && soak.seconds() <= seconds(warming) + 1);
    }

    /** For how long it can be cut before it is warmed again. */
    public static int workableSeconds(CutPlan way) {
        return (int) Math.min(LONGEST_WORKABLE_S, Math.round(way.secondsUntilWarming()));
    }

    /** A wedge goes in where somebody pointed. */
    public static Choice wedge() {
        return Step.other(
                "Wedge in", new SeparateFact.WedgeSet(0), new Ask("positionMm", "Where", Ask.Kind.PLACE, "mm", null));
    }

    private static Step opening(DeviceProfile profile, JobState state) {
        Step open = Step.open(
                "separate.open",
                Station.SEPARATE,
                "Open the front",
                "on the " + profile.placeName(profile.hinge()) + ", no further than " + profile.greatestOpeningDeg()
                        + "°; prop it" + shortCables(profile),
                Step.go("Open and propped", new SeparateFact.FrontOpened()));
        return SeparateState.of(state).frontOpened() ? open.answered("open and propped") : open;
    }

    /** What keeps the front from being laid open is freed with the front held up a finger's width. */
    private static String shortCables(DeviceProfile profile) {
        return profile.connectors().stream()
                .filter(plug -> plug.cable() != null
                        && plug.cable().tight()
                        && plug.cable().from().equals(ProfileDocument.FRONT))
                .map(plug -> "; " + plug.words() + " first: its cable is short, lift a finger's width and free it")
                .collect(Collectors.joining());
    }

    /** Those that are in; asked for at the station where they have to be out. */
    public static List<Step> wedges(DeviceProfile profile, JobState state, Station at) {
        return SeparateState.of(state).wedges().stream()
                .map(wedge -> {
                    Step out = Step.open(
                            "separate.wedge." + wedge,
                            at,
                            "Wedge: " + PlaceWords.at(profile, wedge),
                            null,
                            Step.go("Wedge out", new SeparateFact.WedgePulled(wedge)));
                    return at == Station.SEPARATE ? out.asOptional() : out;
                })
                .toList();
    }

    /** Clip by clip, in the order of the map. */
    private static List<Step> unclipping(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        List<String> freed = SeparateState.of(state).freed();
        for (EdgeFeature clip : profile.features()) {
            if (freed.contains(clip.id())) {
                steps.add(unclip(profile, clip, null).answered("free"));
            }
        }
        for (ClipMap.Move move : new ClipMap(profile).moves(freed)) {
            steps.add(unclip(profile, move.clip(), hint(profile, move)));
        }
        steps.add(opening(profile, state));
        steps.addAll(wedges(profile, state, Station.SEPARATE));
        return steps;
    }

    private static Step unclip(DeviceProfile profile, EdgeFeature clip, String hint) {
        String id = stepId(clip.id());
        double at = ClipMap.middleMm(profile, clip);
        return Step.open(
                id,
                Station.SEPARATE,
                "Unclip " + placed(clip.words(), PlaceWords.at(profile, at)),
                hint,
                Step.go("Free", new SeparateFact.StretchFreed(clip.id())),
                Step.other(
                        "It broke",
                        new DamageFact.MishapSeen(DamageFact.Mishap.CLIP_BROKEN, (double) Math.round(at), id)));
    }

    /** "clip 2 of the handle edge, 67 mm from the strap edge": the edge is said once. */
    private static String placed(String words, String place) {
        int comma = place.indexOf(',');
        boolean saidOnce = comma > 0 && words.endsWith(place.substring(0, comma));
        return words + (saidOnce ? place.substring(comma) : ": " + place);
    }

    private static String hint(DeviceProfile profile, ClipMap.Move move) {
        List<String> words = new ArrayList<>();
        words.add((move.newEntry() ? "begin here: " : "") + profile.entrySeam() + ", no deeper than {most:"
                + move.clip().allowedDepthMm() + "}");
        if (!move.beneath().isEmpty()) {
            words.add("beneath: " + move.beneath().get(0).told());
        }
        return String.join("; ", words);
    }

    private static List<Hold> clipHolds(Fact fact, DeviceProfile profile, JobState state) {
        ClipMap clips = new ClipMap(profile);
        if (fact instanceof SeparateFact.StretchFreed f) {
            Checks.known("stretchId", f.stretchId(), clips.ids());
        } else if (fact instanceof SeparateFact.FrontOpened) {
            return clips.moves(SeparateState.of(state).freed()).stream()
                    .limit(1)
                    .map(next -> Hold.firm(stepId(next.clip().id()), Station.SEPARATE, "Some clips still hold"))
                    .toList();
        }
        return List.of();
    }

    private static String stepId(String stretchOrClip) {
        return "separate." + stretchOrClip;
    }

    /** Into what was freed last, unless one is in there. */
    private static Double wedgeNow(CutPlan way, JobState state) {
        SeparateState front = SeparateState.of(state);
        if (way.wedgeNowMm() == null) {
            return null;
        }
        Stretch free = way.stretch(front.freed().get(front.freed().size() - 1));
        return front.wedges().stream().anyMatch(free::has) ? null : Math.round(way.wedgeNowMm() * 10) / 10.0;
    }

    private static Step cut(DeviceProfile profile, Stretch stretch, Move move, Double wedgeMm) {
        String hint = "no deeper than {most:" + stretch.depthMm() + "}: " + stretch.depthBecause()
                + (move != null && move.newEntry() ? "; enter here, " + profile.entrySeam() : "")
                + (wedgeMm == null ? "" : "; first a wedge into what is free: " + PlaceWords.at(profile, wedgeMm));
        List<Choice> choices = new ArrayList<>();
        choices.add(Step.go("Free", new SeparateFact.StretchFreed(stretch.id())));
        if (wedgeMm != null) {
            choices.add(Step.other("Wedge in", new SeparateFact.WedgeSet(wedgeMm)));
        }
        // Beside "Free" a "Not yet" would say that it is not free yet.
        choices.add(Step.other("It sticks", new HeatFact.PickTried(false)));
        return Step.open(
                stepId(stretch.id()),
                Station.SEPARATE,
                "Cut the " + PlaceWords.along(profile, stretch.where(), move == null || move.clockwise()),
                hint,
                choices.toArray(Choice[]::new));
    }

    /** With the front open the part is in use and heat has nothing to soften; the owner may change their mind at any time. */
    @Override
    public List<Hold> bars(Fact earlier, JobState state) {
        if (earlier instanceof HeatFact.SoakStarted && SeparateState.of(state).wet()) {
            return List.of(Hold.firm(DRY, Station.SEPARATE, "Solvent is wet on it: no source comes near"));
        } else if (!SeparateState.of(state).frontOpened()) {
            return List.of();
        } else if (earlier instanceof PartsFact.PartReturned
                        && DecideState.of(state).notWorthIt().isEmpty()
                || earlier instanceof DecideFact.RepairAgreed agreed
                        && PartsState.of(state).givesBack(agreed.pieces())) {
            return List.of(Hold.firm(
                    "parts.open",
                    Station.PARTS,
                    "The front is open: the part is in use. If it is no good, it goes to the returns"));
        } else if (earlier instanceof HeatFact.SoakStarted) {
            return List.of(Hold.firm("heat.opened", Station.HEAT, "The front is open: no more heat"));
        }
        return List.of();
    }

    @Override
    public Map<String, String> signOffs() {
        return Map.of("separate.cold", "cut cold, never warmed", "separate.hinge", "hinge edge freed before the rest");
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof SeparateFact.WedgeSet f) {
            onEdge(profile, f.positionMm());
        } else if (fact instanceof SeparateFact.WedgePulled f) {
            if (!SeparateState.of(state).wedges().contains(f.positionMm())) {
                throw new NotAllowed(
                        "positionMm",
                        f.positionMm(),
                        "a place where a wedge is: " + SeparateState.of(state).wedges());
            }
        } else if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        if (fact instanceof SeparateFact.SolventLaid && !profile.bonded()) {
            holds.add(Hold.firm("heat.clips", Station.HEAT, "Clips hold this front: solvent has nothing to soften"));
        } else if (fact instanceof SeparateFact.SolventDry
                && !SeparateState.of(state).wet()) {
            throw new NotAllowed("solvent", "dry", "once some was laid");
        } else if (fact instanceof SeparateFact.SolventLaid) {
            holds.addAll(beforeCutting(state));
            HeatState.of(state)
                    .runningSoak()
                    .ifPresent(soak -> holds.add(Hold.firm(
                            airOn(soak) ? AIR_OFF : LIFT,
                            Station.SEPARATE,
                            "It is being warmed: off the source first")));
        }
        holds.addAll(profile.bonded() ? bondHolds(fact, profile, state) : clipHolds(fact, profile, state));
        return holds;
    }

    private List<Hold> bondHolds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof SeparateFact.StretchFreed f) {
            CutPlan way = plan.get();
            way.stretch(f.stretchId());
            holds.addAll(beforeCutting(state));
            if (SeparateState.of(state).freed().contains(f.stretchId())) {
                holds.add(Hold.firm("separate.done", Station.SEPARATE, "This stretch is already free"));
            }
            Set<String> hinge = CutPlanner.hinge(profile);
            boolean othersFree = way.stretches().stream()
                    .map(Stretch::id)
                    .allMatch(id -> hinge.contains(id)
                            || SeparateState.of(state).freed().contains(id));
            if (hinge.contains(f.stretchId()) && !othersFree) {
                holds.add(Hold.overridable(
                        "separate.hinge",
                        Station.SEPARATE,
                        "The " + profile.placeName(profile.hinge()) + " is freed last: its cables hold the front"));
            }
        } else if (fact instanceof SeparateFact.WedgeSet wedge) {
            holds.addAll(beforeCutting(state));
            plan.get().stretches().stream()
                    .filter(stretch -> stretch.has(wedge.positionMm()))
                    .filter(stretch -> !SeparateState.of(state).freed().contains(stretch.id()))
                    .forEach(stretch -> holds.add(Hold.firm(
                            begun(state) ? stepId(stretch.id()) : WAY,
                            Station.SEPARATE,
                            "It still holds there: a wedge goes in where it is free")));
        } else if (fact instanceof SeparateFact.FrontOpened) {
            HeatState.of(state)
                    .runningSoak()
                    .ifPresent(soak -> holds.add(
                            Hold.firm(airOn(soak) ? AIR_OFF : LIFT, Station.SEPARATE, "It is still being warmed")));
            CutPlan way = plan.get();
            if (!way.moves().isEmpty()) {
                holds.add(Hold.firm(
                        begun(state) ? stepId(way.moves().get(0).stretchId()) : WAY,
                        Station.SEPARATE,
                        way.moves().size() + " of " + way.stretches().size() + " stretches still hold"));
            }
        }
        return holds;
    }

    /** Until then the stretches are no steps of their own. */
    private static boolean begun(JobState state) {
        return HeatState.of(state).warmed() || !SeparateState.of(state).freed().isEmpty();
    }

    private static List<Hold> beforeCutting(JobState state) {
        return HeatState.of(state).warmed()
                ? List.of()
                : List.of(Hold.overridable("separate.cold", Station.HEAT, "The bond was never warmed"));
    }

    private static void onEdge(DeviceProfile profile, double positionMm) {
        double perimeter = profile.edge().lengthMm();
        if (positionMm > perimeter) {
            throw new NotAllowed("positionMm", positionMm, "0 to " + Math.round(perimeter) + " mm along the edge");
        }
    }
}
