package ridgefall.app.seal;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readers;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.bond.Bead;
import ridgefall.core.bond.BeadLaying;
import ridgefall.core.bond.BentCorner;
import ridgefall.core.bond.BondState;
import ridgefall.core.bond.WhatHolds;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.gate.Course;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.seal.DustLook;
import ridgefall.core.seal.DustLook.Speck;
import ridgefall.core.seal.FlushGap;
import ridgefall.core.seal.FlushGap.Verdict;
import ridgefall.core.seal.PressPlan;
import ridgefall.core.seal.SealState;
import ridgefall.core.seal.SealStation;

@RestController
class SealController {
    private final Jobs jobs;
    private final Readers readers;

    SealController(Jobs jobs, Readers readers) {
        this.jobs = jobs;
        this.readers = readers;
    }

    /**
     * @param positionMm along the edge line
     * @param overMm the rim; null before it was read
     * @param verdict null before it was read
     * @param type asks for a reading
     * @param take records what the gauge says now; null without one
     */
    record FlushPlaceView(
            double positionMm,
            String place,
            @Schema(nullable = true) Double overMm,
            @Schema(nullable = true) Verdict verdict,
            @Schema(nullable = true) String verdictWords,
            ChoiceView type,
            @Schema(nullable = true) ChoiceView take) {}

    /** @param mm over what it was set to nothing on */
    record GaugeView(String instrument, double mm) {}

    /** @param words why nothing lies there */
    record BareView(double fromMm, double lengthMm, String words) {}

    /**
     * A bead, and the clamps that press it.
     *
     * @param inMm from the edge to its middle
     * @param skinsAt when no front sinks into it any more; null before it is laid
     */
    record BeadView(
            double ml,
            int layingSeconds,
            double inMm,
            List<BareView> bare,
            int clamps,
            List<Double> clampsAtMm,
            @Schema(nullable = true) Instant skinsAt) {}

    /**
     * A patch that a light from the side shows at once.
     *
     * @param found what it showed last; null before anybody looked
     * @param foundWords how that is said, and how it comes off
     */
    record ZoneView(
            int number,
            List<ZonePointView> outline,
            @Schema(nullable = true) Speck found,
            @Schema(nullable = true) String foundWords,
            List<ChoiceView> choices) {}

    /** As the device is seen, mm. */
    record ZonePointView(double x, double y) {}

    /**
     * @param zones of the last look before it is seated
     * @param bead that holds it; null where something else does
     * @param press how a front on tape is pressed; null where glue or clips hold it
     * @param places round the edge; none where clips hold it
     * @param gauge that says something now; null where none does
     */
    record SealView(
            List<ZoneView> zones,
            @Schema(nullable = true) BeadView bead,
            @Schema(nullable = true) PressPlan press,
            List<FlushPlaceView> places,
            @Schema(nullable = true) GaugeView gauge) {}

    @GetMapping("/api/jobs/{jobId}/seal")
    SealView seal(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        boolean taped = profile.bonded() && !BeadLaying.of(course.state());
        GaugeView gauge = readers.latest(Quantity.DISPLACEMENT)
                .map(read -> new GaugeView(read.instrument(), Math.round(read.value() * 100) / 100.0))
                .orElse(null);
        List<FlushGap.Place> places = profile.bonded() ? FlushGap.of(profile, SealState.of(course.state())) : List.of();
        View view = new View(quarterTurns, faceDown);
        return new SealView(
                DustLook.zones(profile).stream()
                        .map(zone -> zone(zone, course, view, who))
                        .toList(),
                BeadLaying.of(course.state()) ? bead(course) : null,
                taped ? PressPlan.of(profile, CleanStation.roomC(course.state())) : null,
                places.stream().map(place -> view(place, profile, gauge, who)).toList(),
                gauge);
    }

    private static ZoneView zone(DustLook.Zone zone, Course course, View view, SignedIn who) {
        Speck found = SealState.of(course.state()).dust().get(zone.number());
        double right = zone.xMm() + zone.widthMm();
        double under = zone.yMm() + zone.heightMm();
        List<Coordinate> corners = List.of(
                new Coordinate(zone.xMm(), zone.yMm()),
                new Coordinate(right, zone.yMm()),
                new Coordinate(right, under),
                new Coordinate(zone.xMm(), under));
        return new ZoneView(
                zone.number(),
                corners.stream()
                        .map(corner -> course.profile().edge().seen(corner, view))
                        .map(seen -> new ZonePointView(seen.x, seen.y))
                        .toList(),
                found,
                found == null ? null : found.words() + (found.off().isEmpty() ? "" : ": " + found.off()),
                DustLook.about(zone.number(), course.state()).stream()
                        .map(choice -> ChoiceView.of(choice, who.role()))
                        .toList());
    }

    private static BeadView bead(Course course) {
        DeviceProfile profile = course.profile();
        Bead bead = course.bead();
        int clamps = WhatHolds.clamps(bead, BentCorner.of(profile, course.state()));
        return new BeadView(
                bead.ml(),
                bead.layingSeconds(),
                Bead.OFFSET_MM,
                profile.features().stream()
                        .filter(EdgeFeature::keepsTapeOff)
                        .map(off ->
                                new BareView(off.where().fromMm(), off.where().lengthMm(), off.words()))
                        .toList(),
                clamps,
                bead.clampsAtMm(profile),
                BondState.of(course.state())
                        .bead()
                        .map(laid -> laid.at().plusSeconds(laid.bead().skinSeconds()))
                        .orElse(null));
    }

    private static FlushPlaceView view(FlushGap.Place place, DeviceProfile profile, GaugeView gauge, SignedIn who) {
        return new FlushPlaceView(
                place.positionMm(),
                FlushGap.words(profile, place.positionMm()),
                place.overMm(),
                place.verdict().orElse(null),
                place.verdict().map(Verdict::words).orElse(null),
                ChoiceView.of(SealStation.reading(place.positionMm()), who.role()),
                gauge == null ? null : ChoiceView.of(SealStation.reading(place.positionMm(), gauge.mm()), who.role()));
    }
}
