package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Condition;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PlaceWords;

/** A front that clips hold: nothing is warmed, each clip lets go by itself. */
final class Unclipping {
    private static final String GUARDED = "separate.guarded";
    private static final String TAPED = "separate.taped";
    static final List<String> CHECKS = List.of(GUARDED, TAPED);

    private Unclipping() {}

    /** Clip by clip, in the order of the map. */
    static List<Step> steps(DeviceProfile profile, JobState state, Step opening) {
        List<Step> steps = new ArrayList<>(guarded(profile, state));
        Condition[] taped = steps.isEmpty() ? new Condition[0] : new Condition[] {Condition.FACE_TAPED};
        List<String> freed = SeparateState.of(state).freed();
        for (EdgeFeature clip : profile.features()) {
            if (freed.contains(clip.id())) {
                steps.add(unclip(profile, clip, null)
                        .needs(SeparateStation.shut(profile))
                        .answered("free"));
            }
        }
        for (ClipMap.Move move : new ClipMap(profile).moves(freed)) {
            steps.add(unclip(profile, move.clip(), hint(profile, move))
                    .needs(SeparateStation.shut(profile))
                    .needs(taped));
        }
        steps.add(opening);
        steps.addAll(SeparateStation.wedges(profile, state, Station.SEPARATE));
        return steps;
    }

    /** Broken glass is touched with gloves on and bent under film; whoever unclips it already is not asked. */
    private static List<Step> guarded(DeviceProfile profile, JobState state) {
        if (Damage.front(state).orElse(FrontCondition.INTACT) == FrontCondition.INTACT) {
            return List.of();
        }
        Step on = Checks.check(state, GUARDED, "Gloves and eye protection on", "glass flies as a clip lets go", "On")
                .makes(Condition.GUARDED);
        Step taped = Checks.check(state, TAPED, "Face taped over the cracks", "clear film, one layer", "Taped")
                .needs(Condition.GUARDED)
                .makes(Condition.FACE_TAPED);
        boolean begun = SeparateState.of(state).frontOpened();
        return Stream.of(on, taped)
                .filter(step -> !(begun && step.open() && !step.problem()))
                .toList();
    }

    static Stream<Condition> stands(JobState state) {
        return Stream.concat(
                state.passed(GUARDED) ? Stream.of(Condition.GUARDED) : Stream.empty(),
                state.passed(TAPED) ? Stream.of(Condition.FACE_TAPED) : Stream.empty());
    }

    private static Step unclip(DeviceProfile profile, EdgeFeature clip, String hint) {
        String id = SeparateStation.stepId(clip.id());
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

    static List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        ClipMap clips = new ClipMap(profile);
        if (fact instanceof SeparateFact.StretchFreed f) {
            Checks.known("stretchId", f.stretchId(), clips.ids());
            if (SeparateState.of(state).freed().contains(f.stretchId())) {
                return List.of(Hold.firm("separate.done", Station.SEPARATE, "This clip is already free"));
            }
        } else if (fact instanceof SeparateFact.FrontOpened) {
            return clips.moves(SeparateState.of(state).freed()).stream()
                    .limit(1)
                    .map(next -> Hold.firm(
                            SeparateStation.stepId(next.clip().id()), Station.SEPARATE, "Some clips still hold"))
                    .toList();
        }
        return List.of();
    }
}
