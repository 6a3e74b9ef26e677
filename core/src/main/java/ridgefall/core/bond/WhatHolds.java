package ridgefall.core.bond;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import ridgefall.core.bond.BentCorner.Verdict;
import ridgefall.core.job.JobState;
import ridgefall.core.material.Adhesive;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.ProfileDocument.AdhesiveKind;
import ridgefall.core.profile.ProfileDocument.Kind;

/** Every way to hold a bonded front down, judged for one device: by its seat, its bend, its seal and what the shelf has. */
public final class WhatHolds {
    /** As tape mostly is, where nobody said. */
    private static final double USUAL_TAPE_MM = 0.2;

    /** A ring leaves so much of the ledge bare on either side. */
    private static final double RING_MARGIN_MM = 0.2;

    private static final double DEEP_MM = 0.3;
    private static final double USUAL_NEEDLE_MM = 0.6;

    /** No glue is squeezed thinner by hand. */
    private static final double FINEST_BEAD_MM = 0.05;

    private static final double USUAL_BEAD_GAP_MM = 0.15;
    private static final double USUAL_BEAD_PA_S = 500;
    private static final double USUAL_CLAMP_N = 15;
    private static final int USUAL_SKIN_MINUTES = 8;
    private static final int USUAL_CURE_HOURS = 24;

    /** Before it is bent, stood on its edge or put in a pocket. */
    private static final int TAPE_RESTS_MINUTES = 20;

    private final DeviceProfile profile;
    private final JobState state;
    private final List<Supply> shelf;
    private final BiFunction<DeviceProfile, List<Double>, List<StripPlan>> strips;
    private final LocalDate today;
    private final List<BentCorner> bent;
    private final Optional<SeatGap> seat;

    /**
     * One of them.
     *
     * @param from what of the shelf it takes; null where the shelf's list has none of the kind, or it needs none
     * @param rollsMm widths that strips are cut from; null for what is not strips
     * @param against why not; empty where nothing speaks against it
     * @param asks what it needs besides
     * @param allRound whether it closes all round, so that it can be tight
     * @param holdsN in shear, in a warm hand, with a safety of three
     * @param proudMm over the rim; below 0 under it; null where nobody knows
     * @param minutes of work
     * @param restsMinutes until it may be moved as one likes
     * @param takes of the shelf, in words
     */
    public record Way(
            HeldBy by,
            Supply from,
            List<Double> rollsMm,
            List<String> against,
            List<String> asks,
            boolean allRound,
            double holdsN,
            Double proudMm,
            int minutes,
            int restsMinutes,
            String takes) {
        public boolean allowed() {
            return against.isEmpty();
        }
    }

    /**
     * @param shelf what the bench has; of a kind that is not on its list nothing is known, and usual values count
     * @param strips ways of laying strips from rolls of these widths, the best first
     */
    WhatHolds(
            DeviceProfile profile,
            JobState state,
            List<Supply> shelf,
            BiFunction<DeviceProfile, List<Double>, List<StripPlan>> strips,
            LocalDate today) {
        this.profile = profile;
        this.state = state;
        this.shelf = shelf;
        this.strips = strips;
        this.today = today;
        this.bent = BentCorner.of(profile, state);
        this.seat = SeatGap.of(profile, state);
    }

    /** The best first, those with something against them last. */
    List<Way> ways() {
        List<HeldBy> usual = new ArrayList<>();
        if (brought()) {
            usual.add(HeldBy.CAME_ON_IT);
        }
        profile.document().seals().stream()
                .filter(kind -> kind != AdhesiveKind.PRE_APPLIED)
                .map(WhatHolds::by)
                .forEach(usual::add);
        usual.addAll(List.of(HeldBy.RING, HeldBy.STRIPS, HeldBy.BEAD, HeldBy.CAME_ON_IT, HeldBy.OLD_BOND));
        return List.of(cameOnIt(), ring(), strips(), bead(), oldBond()).stream()
                .sorted(Comparator.comparing((Way way) -> !way.allowed())
                        .thenComparing(this::mustBeFound)
                        .thenComparing(way -> usual.indexOf(way.by()))
                        .thenComparing(Comparator.comparing(Way::holdsN).reversed()))
                .toList();
    }

    /** A bench that keeps a list has what stands on it. */
    private boolean mustBeFound(Way way) {
        return !shelf.isEmpty() && way.from() == null && way.by() != HeldBy.CAME_ON_IT;
    }

    private static HeldBy by(AdhesiveKind kind) {
        return switch (kind) {
            case PRE_APPLIED -> HeldBy.CAME_ON_IT;
            case DIE_CUT -> HeldBy.RING;
            case STRIPS -> HeldBy.STRIPS;
            case BEAD -> HeldBy.BEAD;
            case CLIPS -> HeldBy.OLD_BOND;
        };
    }

    private boolean brought() {
        return PartsState.of(state).brought(Brings.TAPE);
    }

    private boolean watch() {
        return profile.document().kind() == Kind.WATCH;
    }

    private Way cameOnIt() {
        List<String> against = new ArrayList<>();
        if (!brought()) {
            against.add("this front came without");
        }
        List<String> asks = new ArrayList<>();
        bends(against, asks);
        Double proud = proud(USUAL_TAPE_MM, against, asks);
        return new Way(
                HeldBy.CAME_ON_IT, null, null, against, asks, true, ringN(), proud, 2, TAPE_RESTS_MINUTES, "nothing");
    }

    private Way ring() {
        List<String> against = new ArrayList<>();
        List<String> asks = new ArrayList<>();
        List<Supply.Rings> all = Supply.of(shelf, Supply.Rings.class);
        Optional<Supply.Rings> own = all.stream()
                .filter(rings -> rings.profileId().equals(profile.id()))
                .max(Comparator.comparing(Supply.Rings::left));
        if (own.isPresent() && own.get().left() < 1) {
            against.add("none left of " + own.get().name());
        } else if (own.isEmpty() && !all.isEmpty() && !watch()) {
            against.add("none for it on the shelf");
        } else if (own.isEmpty()) {
            asks.add("a ring for it; none is on the shelf's list");
        }
        bends(against, asks);
        Double proud = null;
        if (seat.isPresent() && !seat.get().room()) {
            proud = proud(0, against, asks);
        } else if (seat.isPresent()) {
            // It gives way until the front is flush, or it leaks.
            proud = 0.0;
            double thickMm = own.map(Supply.Rings::thicknessMm).orElse(Double.NaN);
            if (thickMm > 0) {
                RingSeal seal = new RingSeal(thickMm, seat.get().gapMm());
                if (!seal.seals(0)) {
                    against.add("{mm:" + thickMm + "} " + seal.words());
                }
            }
        } else {
            asks.add("a caliper: nobody knows whether it is squeezed");
        }
        return new Way(
                HeldBy.RING,
                own.orElse(null),
                null,
                against,
                asks,
                true,
                ringN(),
                proud,
                4,
                TAPE_RESTS_MINUTES,
                own.map(it -> "1 of " + (int) it.left()).orElse("1"));
    }

    private Way strips() {
        List<String> against = new ArrayList<>();
        List<String> asks = new ArrayList<>();
        List<Supply.Roll> rolls = Supply.of(shelf, Supply.Roll.class);
        List<Double> widthsMm = longEnoughMm();
        List<StripPlan> plans = strips.apply(profile, widthsMm);
        if (watch()) {
            against.add("every joint leaks, and a watch's seal may have none");
        }
        if (plans.isEmpty()) {
            against.add("the ledge is {mm:" + BenchTape.narrowestMm(profile) + "}: no roll is as narrow");
            return new Way(HeldBy.STRIPS, null, null, against, asks, false, 0, null, 0, TAPE_RESTS_MINUTES, "nothing");
        }
        StripPlan best = plans.get(0);
        double widthMm = mainMm(best);
        double needsMm = Math.ceil(best.rollMm());
        double leftMm = leftMm(widthMm);
        if (!rolls.isEmpty() && leftMm < needsMm) {
            against.add("needs {mm:" + needsMm + "} of tape {mm:" + widthMm + "} wide, {mm:" + Math.floor(leftMm)
                    + "} are left");
        }
        Optional<Supply.Roll> from =
                rolls.stream().filter(roll -> roll.widthMm() == widthMm).max(Comparator.comparing(Supply.Roll::left));
        bends(against, asks);
        Double proud = proud(from.map(Supply.Roll::thicknessMm).orElse(USUAL_TAPE_MM), against, asks);
        return new Way(
                HeldBy.STRIPS,
                from.orElse(null),
                widthsMm,
                against,
                asks,
                false,
                best.shearN(),
                proud,
                3 + best.strips().size(),
                TAPE_RESTS_MINUTES,
                "{mm:" + needsMm + "}" + (rolls.isEmpty() ? "" : " of {mm:" + Math.floor(leftMm) + "}"));
    }

    private Way bead() {
        List<String> against = new ArrayList<>();
        List<String> asks = new ArrayList<>();
        List<Supply.Glue> all = Supply.of(shelf, Supply.Glue.class);
        Optional<Supply.Glue> fresh = all.stream()
                .filter(glue -> !glue.expires().isBefore(today))
                .max(Comparator.comparing(Supply.Glue::left));
        Bead bead = bead(profile, state, fresh);
        if (all.isEmpty()) {
            asks.add("a syringe; none is on the shelf's list");
        } else if (fresh.isEmpty()) {
            against.add("its syringe was to be used by {day:" + all.get(0).expires() + "}");
        } else if (fresh.get().left() < bead.ml()) {
            against.add(String.format(
                    Locale.ROOT,
                    "needs %.2f ml, %.2f are left",
                    bead.ml(),
                    fresh.get().left()));
        }
        if (seat.isPresent() && seat.get().gapMm() < FINEST_BEAD_MM) {
            proud(FINEST_BEAD_MM, against, asks);
        }
        if (bead.outMm() > 0) {
            against.add("{mm:" + tenth(bead.widthMm()) + "} wide on a ledge of {mm:" + bead.ledgeMm()
                    + "}: laid by hand it comes out; a finer needle");
        }
        if (fresh.isPresent()) {
            int skin = fresh.get().skinMinutes();
            if (bead.layingSeconds() > skin * 60 / 2) {
                against.add("skins in " + skin + " min: too long a way round for one hand");
            } else if (bead.layingSeconds() + sinksSeconds(bead, fresh, shelf, bent) > skin * 60) {
                against.add("too stiff for this seat: it skins before clamps have pressed it flat");
            }
        }
        beadOverBends(bead, against);
        int clamps = clamps(bead, bent);
        asks.add(clamps + " clamps for " + cureHours(fresh) + " h");
        double have = Supply.clamps(shelf).mapToDouble(Supply.Clamps::left).sum();
        if (have > 0 && have < clamps) {
            against.add(clamps + " clamps, the shelf has " + (int) have);
        }
        int minutes = 5 + bead.layingSeconds() / 60 + clamps / 2;
        return new Way(
                HeldBy.BEAD,
                fresh.orElse(null),
                null,
                against,
                asks,
                true,
                Adhesive.RUBBERY_BEAD.shearMPa(BenchTape.WARM_USE_C)
                        * bead.pathMm()
                        * Math.min(bead.widthMm(), bead.ledgeMm())
                        / BenchTape.SAFETY,
                0.0,
                minutes,
                60 * cureHours(fresh),
                String.format(Locale.ROOT, "%.2f ml", bead.ml())
                        + fresh.map(it -> String.format(Locale.ROOT, " of %.1f", it.left()))
                                .orElse(""));
    }

    /** It stands as high as its needle is wide, and reaches no further. */
    private void beadOverBends(Bead bead, List<String> against) {
        for (BentCorner corner : bent) {
            if (corner.gapMm() + bead.gapMm() > bead.needleMm() && corner.verdict() == Verdict.STRAIGHTEN && watch()) {
                against.add("it does not reach across {mm:" + corner.gapMm() + "} at the "
                        + profile.placeName(corner.corner()));
            }
        }
    }

    /** Along a bead, and closer where the frame is bent. */
    public static int clamps(Bead bead, List<BentCorner> bent) {
        return bead.clamps() + bent.stream().mapToInt(BentCorner::clamps).sum();
    }

    /** Until the clamps there are have pressed a bead as flat as its seat leaves, s. */
    public static int sinksSeconds(Bead bead, Optional<Supply.Glue> glue, List<Supply> shelf, List<BentCorner> bent) {
        double newtons =
                Supply.clamps(shelf).mapToDouble(Supply.Clamps::newtons).min().orElse(USUAL_CLAMP_N);
        double paS = glue.map(Supply.Glue::viscosityPaS).orElse(USUAL_BEAD_PA_S);
        return (int) Math.ceil(Math.min(100_000, bead.pressedSeconds(clamps(bead, bent) * newtons, paS)));
    }

    public static int cureHours(Optional<Supply.Glue> glue) {
        return glue.map(Supply.Glue::cureHours).orElse(USUAL_CURE_HOURS);
    }

    /** @param glue whose needle it is laid with */
    static Bead bead(DeviceProfile profile, JobState state, Optional<Supply.Glue> glue) {
        double gapMm = SeatGap.of(profile, state)
                .filter(SeatGap::room)
                .map(SeatGap::gapMm)
                .orElse(USUAL_BEAD_GAP_MM);
        return Bead.of(
                profile,
                Math.max(gapMm, FINEST_BEAD_MM),
                glue.map(Supply.Glue::needleMm).orElse(USUAL_NEEDLE_MM));
    }

    private Way oldBond() {
        return new Way(
                HeldBy.OLD_BOND,
                null,
                null,
                List.of("it is spent: torn once, it lets go on the first warm day; and the ledge is clean of it"),
                List.of(),
                false,
                0,
                null,
                0,
                0,
                "nothing");
    }

    /** What tape makes of the bent corners. */
    private void bends(List<String> against, List<String> asks) {
        for (BentCorner corner : bent) {
            if (corner.verdict() == Verdict.STRAIGHTEN) {
                against.add(corner.words(profile));
            } else if (corner.verdict() == Verdict.CLAMP) {
                double have =
                        Supply.clamps(shelf).mapToDouble(Supply.Clamps::left).sum();
                if (have > 0 && have < corner.clamps()) {
                    against.add(corner.words(profile) + ", the shelf has " + (int) have);
                } else {
                    asks.add(corner.clampsAsked(profile));
                }
            }
        }
    }

    /** Over the rim on adhesive of this thickness; what a thumb would feel speaks against it. */
    private Double proud(double adhesiveMm, List<String> against, List<String> asks) {
        if (seat.isEmpty()) {
            asks.add("a caliper: nobody knows whether it will stand proud");
            return null;
        }
        double proud = seat.get().proudMm(adhesiveMm);
        String by = seat.get().measured() ? "" : ", by the book";
        if (proud > SeatGap.FELT_MM) {
            against.add("would stand {mm:" + proud + "} over the rim" + by);
        } else if (-proud > DEEP_MM) {
            asks.add("lies {mm:" + -proud + "} under the rim" + by);
        }
        return proud;
    }

    /** What a frame of tape holds that leaves a little bare on both sides, and all where nothing may lie. */
    private double ringN() {
        double widthMm = Math.max(0.3, BenchTape.narrowestMm(profile) - 2 * RING_MARGIN_MM);
        double bareMm = profile.features().stream()
                .filter(EdgeFeature::keepsTapeOff)
                .mapToDouble(feature -> feature.where().lengthMm())
                .sum();
        double lengthMm = Bead.of(profile, USUAL_BEAD_GAP_MM, USUAL_NEEDLE_MM).pathMm();
        double tapedMm = watch() ? lengthMm + bareMm : lengthMm;
        return Adhesive.PET_CARRIER_TAPE.shearMPa(BenchTape.WARM_USE_C) * widthMm * tapedMm / BenchTape.SAFETY;
    }

    /** Of the rolls there are something left of, or as every bench has them. */
    private List<Double> widthsMm() {
        List<Supply.Roll> rolls = Supply.of(shelf, Supply.Roll.class);
        return rolls.isEmpty()
                ? BenchTape.USUAL_MM
                : rolls.stream()
                        .filter(roll -> roll.left() > 0)
                        .map(Supply.Roll::widthMm)
                        .distinct()
                        .sorted(Comparator.reverseOrder())
                        .toList();
    }

    /** Without the widest, as long as there is too little of it and enough of a narrower one. */
    private List<Double> longEnoughMm() {
        List<Double> all = widthsMm();
        boolean counted = !Supply.of(shelf, Supply.Roll.class).isEmpty();
        for (int first = 0; counted && first < all.size(); first++) {
            List<Double> narrower = all.subList(first, all.size());
            boolean enough = strips.apply(profile, narrower).stream()
                    .findFirst()
                    .filter(plan -> leftMm(mainMm(plan)) >= plan.rollMm())
                    .isPresent();
            if (enough) {
                return narrower;
            }
        }
        return all;
    }

    /** Of the tape that is not a patch. */
    private static double mainMm(StripPlan plan) {
        return plan.strips().stream()
                .mapToDouble(StripPlan.Strip::widthMm)
                .max()
                .orElse(0);
    }

    private double leftMm(double widthMm) {
        return Supply.of(shelf, Supply.Roll.class).stream()
                .filter(roll -> roll.widthMm() == widthMm)
                .mapToDouble(Supply.Roll::left)
                .sum();
    }

    static int skinSeconds(Optional<Supply.Glue> glue) {
        return 60 * glue.map(Supply.Glue::skinMinutes).orElse(USUAL_SKIN_MINUTES);
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }
}
