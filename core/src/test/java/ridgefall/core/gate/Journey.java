package ridgefall.core.gate;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import ridgefall.core.bond.BeadLaying;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.GlassJoin;
import ridgefall.core.bond.JoinFact;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.Supply;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.seal.SealFact;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;
import ridgefall.core.strip.StripFact;

/** A job of the demo tablet that a test takes along its course by tapping what is offered next. */
public final class Journey {
    static final DeviceProfile QUIRE = ShippedBook.quire11();
    private static final Instant START = Instant.parse("2026-03-02T08:00:00Z");
    private static final Map<String, List<StripPlan>> STRIPS = new HashMap<>();

    /** One plan a device, for its cracked front: computing one takes a while. */
    static final Planning PLANNING = new Planning() {
        private final Map<String, List<HeatPlan>> heats = new HashMap<>();
        private final Map<String, List<Opening>> openings = new HashMap<>();
        private final Map<CutQuestion, CutPlan> cuts = new HashMap<>();

        @Override
        public List<HeatPlan> heat(HeatQuestion question) {
            return heats.computeIfAbsent(question.profile().key(), key -> {
                HeatQuestion cracked = new HeatQuestion(
                        question.profile(), FrontCondition.CRACKED, List.of(), List.of(), question.sources());
                return cracked.planner(WALKED_BENCHES).ranked(few(question.sources()));
            });
        }

        @Override
        public List<Opening> openings(HeatQuestion question) {
            return openings.computeIfAbsent(question.profile().key(), key -> quickly(question, heat(question)));
        }

        @Override
        public CutPlan cut(CutQuestion question) {
            return cuts.computeIfAbsent(question, Planning.super::cut);
        }

        @Override
        public List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
            return laid(profile, rollsMm, patched);
        }
    };

    /** Of each kind of source one, where the bench has these. */
    private static List<HeatSource> few(List<HeatSource> sources) {
        List<HeatSource> few = sources.stream()
                .filter(source -> List.of("pad-1", "plate-1", "air-2").contains(source.id()))
                .toList();
        return few.isEmpty() ? sources : few;
    }

    private static List<StripPlan> laid(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
        return STRIPS.computeIfAbsent(
                profile.key() + rollsMm + patched, key -> BenchTape.plans(profile, rollsMm, patched));
    }

    /** A bench with something on its shelf to hold fronts with. */
    public static Planning withShelf(List<Supply> supplies) {
        return new Planning() {
            @Override
            public List<Supply> supplies() {
                return supplies;
            }

            @Override
            public List<HeatPlan> heat(HeatQuestion question) {
                return PLANNING.heat(question);
            }

            @Override
            public List<Opening> openings(HeatQuestion question) {
                return PLANNING.openings(question);
            }

            @Override
            public CutPlan cut(CutQuestion question) {
                return PLANNING.cut(question);
            }

            @Override
            public List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
                return laid(profile, rollsMm, patched);
            }
        };
    }

    private static List<Opening> quickly(HeatQuestion question, List<HeatPlan> heat) {
        return heat.stream()
                .map(plan -> OpeningPlanner.firstLook(question, plan))
                .toList();
    }

    /** What a bench would be planned, for whatever became of the device; few plausible benches, so that it takes little time. */
    static Planning real() {
        return new Planning() {
            private final Map<HeatQuestion, List<HeatPlan>> heats = new HashMap<>();
            private final Map<HeatQuestion, List<Opening>> openings = new HashMap<>();
            private final Map<CutQuestion, CutPlan> cuts = new HashMap<>();

            @Override
            public List<HeatPlan> heat(HeatQuestion question) {
                return heats.computeIfAbsent(
                        question, asked -> asked.planner(WALKED_BENCHES).ranked(asked.sources()));
            }

            @Override
            public List<Opening> openings(HeatQuestion question) {
                return openings.computeIfAbsent(question, asked -> quickly(asked, heat(asked)));
            }

            @Override
            public CutPlan cut(CutQuestion question) {
                return cuts.computeIfAbsent(question, Planning.super::cut);
            }

            @Override
            public List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
                return laid(profile, rollsMm, patched);
            }
        };
    }

    private static final int WALKED_BENCHES = 3;
    private static final int BETWEEN_S = 20;

    /** How a device goes where only what is offered next is tapped: most tests begin with some of it, and one walk will do. */
    private static final Map<DeviceProfile, List<Course>> STRAIGHT = new HashMap<>();

    private final DeviceProfile profile;
    private final Planning planning;
    private Course course;
    /** Where it is as long as nothing else was recorded. */
    private List<Course> straight = List.of();

    private int walked;

    public Journey() {
        this(QUIRE);
    }

    public Journey(DeviceProfile profile) {
        this(profile, PLANNING);
    }

    public Journey(DeviceProfile profile, Planning planning) {
        this.profile = profile;
        this.planning = planning;
        append(new IntakeFact.JobOpened(
                profile.id(), 1, profile.variantId(), "Hut at Nine Tarns", "cracked at one corner"));
        if (planning == PLANNING) {
            straight = STRAIGHT.computeIfAbsent(profile, device -> new ArrayList<>(List.of(course)));
            course = straight.get(0);
        }
    }

    /** The same job again, to be taken another way from here. */
    public Journey again() {
        Journey other = new Journey(profile, planning);
        other.course = course;
        other.straight = straight;
        other.walked = walked;
        return other;
    }

    /** Asked anew: something else at the bench has changed. */
    Journey anew() {
        straight = List.of();
        course = course.at(journal().get(journal().size() - 1).happenedAt());
        return this;
    }

    public Course course() {
        return course;
    }

    public JobState state() {
        return course.state();
    }

    public List<Entry> journal() {
        return course.journal();
    }

    /** Records a fact without asking whether it may happen: 20 s after the latest, and what is warmed once it is warm. */
    public Journey append(Fact fact) {
        straight = List.of();
        if (course == null) {
            course = new Course(profile, List.of(entry(1, START.plusSeconds(BETWEEN_S), fact)), planning);
            return this;
        }
        long warming = fact instanceof HeatFact.SoakEnded
                ? HeatState.of(state())
                        .runningSoak()
                        .map(soak -> (long) soak.seconds())
                        .orElse(0L)
                : 0;
        long shining = fact instanceof JoinFact.LampOff
                ? state().timer(GlassJoin.LAMP)
                        .map(lamp -> (long) lamp.seconds())
                        .orElse(0L)
                : 0;
        List<Entry> journal = journal();
        Instant soon = journal.get(journal.size() - 1)
                .happenedAt()
                .plusSeconds(Math.max(BETWEEN_S, Math.max(warming, shining)));
        Instant at = cured(fact).filter(soon::isBefore).orElse(soon);
        course = course.with(entry(journal.size() + 1L, at, fact));
        return this;
    }

    private static Entry entry(long seq, Instant at, Fact fact) {
        return new Entry(seq, at, "Ansa Orrick", Role.TECHNICIAN, fact);
    }

    /** A lead answers for recording a fact although it is held; fails where that could not be. */
    public Journey signOff(String holdId, Fact held) {
        Fact signOff = new JobFact.HoldOverridden(holdId, "the lead stands by", held);
        if (!holds(signOff).isEmpty()) {
            throw new IllegalStateException(signOff + " is held by " + holds(signOff));
        }
        return append(signOff);
    }

    public List<Hold> holds(Fact fact) {
        return cured(fact).map(course()::at).orElseGet(this::course).holds(fact);
    }

    /** Nobody takes clamps off before their clock has run out. */
    private Optional<Instant> cured(Fact fact) {
        return fact instanceof SealFact.ClampsOff
                ? state().timer(BeadLaying.CURING)
                        .map(timer -> timer.startedAt().plusSeconds(timer.seconds() + 1L))
                : Optional.empty();
    }

    public Optional<Step> next() {
        return course().next();
    }

    /** A step of this job by its id, done or not. */
    public Step step(String id) {
        return course().steps().stream()
                .filter(step -> step.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no step " + id));
    }

    /** Ids of a station's steps in their order. */
    public List<String> stepIds(Station station) {
        return course().steps().stream()
                .filter(step -> step.station() == station)
                .map(Step::id)
                .toList();
    }

    /** Ids of what holds a fact back. */
    public List<String> heldBy(Fact fact) {
        return holds(fact).stream().map(Hold::id).toList();
    }

    /** Taps the likeliest choice of whatever comes next, until a step is reached. */
    public Journey untilStep(String id) {
        while (!next().orElseThrow().id().equals(id)) {
            tapNext();
        }
        return this;
    }

    /** Taps the likeliest choice of whatever comes next, until a station is reached. */
    public Journey until(Station station) {
        while (next().isPresent() && next().get().station() != station) {
            tapNext();
        }
        return this;
    }

    public Journey toTheEnd() {
        while (next().isPresent()) {
            tapNext();
        }
        return this;
    }

    public Fact tapNext() {
        Fact fact = filled(next().orElseThrow().choices().get(0).fact());
        List<Course> known = straight;
        walked++;
        if (walked < known.size()) {
            course = known.get(walked);
        } else {
            tap(fact);
            if (!known.isEmpty()) {
                known.add(course);
                straight = known;
            }
        }
        return fact;
    }

    private void tap(Fact fact) {
        List<Hold> holds = holds(fact);
        if (!holds.isEmpty()) {
            throw new IllegalStateException(fact + " is offered next but held by " + holds);
        }
        append(fact);
        if (fact instanceof CopyFact.CopyBegun begun) {
            append(through(begun));
        }
    }

    /** What a programmer makes of what was begun when nothing goes wrong. */
    static CopyFact through(CopyFact.CopyBegun begun) {
        return begun.doing() == CopyFact.Doing.READ
                ? new CopyFact.DataRead(
                        begun.partId(), "R2-0001", "second generation", 16_384, SHA256, new UUID(0, 7), "programmer")
                : new CopyFact.DataWritten(begun.partId(), "R2-0002", SHA256, "programmer");
    }

    private static final String SHA256 = "4f3a".repeat(16);

    /** What a person would type into the fields a tap asks for. */
    public static Fact filled(Fact fact) {
        if (fact instanceof DecideFact.RepairAgreed f) {
            return new DecideFact.RepairAgreed(
                    f.repairId(), f.grade(), new BigDecimal("189.00"), f.currency(), "Hut at Nine Tarns");
        } else if (fact instanceof StripFact.ScrewsCounted f) {
            return new StripFact.ScrewsCounted(f.direction(), 14);
        } else if (fact instanceof PartsFact.PartOrdered f) {
            return new PartsFact.PartOrdered(f.stepId(), "Fellside", null, null, null);
        } else if (fact instanceof JoinFact.LiquidLaid f) {
            return new JoinFact.LiquidLaid(
                    f.dots(), f.seconds(), LocalDate.of(2026, 9, 30), f.supplyId(), f.ml(), f.doseJPerCm2());
        } else if (fact instanceof ProveFact.HandedOver) {
            return new ProveFact.HandedOver("Hut at Nine Tarns");
        }
        return fact;
    }
}
