package ridgefall.core.profile;

import java.util.List;
import java.util.Map;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Outline;
import ridgefall.core.profile.ProfileDocument.AlongEdge;
import ridgefall.core.profile.ProfileDocument.Feature;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.units.Allowed;

/**
 * A new device drawn from one that is like it: what lies on an edge keeps its share of that edge, screws keep their
 * share of the face, masses grow with the area. All of it is a guess until somebody measures.
 */
public final class Resizing {
    private final EdgeLine before;
    private final EdgeLine after;

    private Resizing(EdgeLine before, EdgeLine after) {
        this.before = before;
        this.after = after;
    }

    /** @throws ridgefall.core.units.NotAllowed when a size is out of range */
    public static ProfileDocument of(ProfileDocument d, String id, String name, double widthMm, double heightMm) {
        Allowed.text("name", name, 80);
        Allowed.between("widthMm", widthMm, 5, 1000, "mm");
        Allowed.between("heightMm", heightMm, 5, 1000, "mm");
        EdgeLine before = d.outline().edge();
        double scale = Math.min(widthMm / before.widthMm(), heightMm / before.heightMm());
        Outline outline = outline(d.outline(), before, widthMm, heightMm, scale);
        Resizing resizing = new Resizing(before, outline.edge());
        double area = resizing.after.areaMm2() / before.areaMm2();
        return new ProfileDocument(
                d.format(),
                id,
                name,
                d.words(),
                d.kind(),
                false,
                outline,
                d.edgeNames(),
                front(d.front(), area),
                new ProfileDocument.Body(
                        d.body().thicknessMm(),
                        tenthOfAGram(d.body().massKg() * area),
                        d.body().deviceClass(),
                        d.body().layers(),
                        d.body().batteryReach()),
                d.limits(),
                resizing.along(d.border()),
                resizing.along(d.ledge()),
                tenth(Math.min(d.openingRadiusMm() * Math.min(1, scale), Math.min(widthMm, heightMm) / 2)),
                d.features().stream().map(resizing::feature).toList(),
                d.functions(),
                d.connectors(),
                d.screws().stream().map(resizing::screw).toList(),
                d.shields(),
                d.carryOvers(),
                d.pairedParts(),
                d.covers(),
                d.adhesives(),
                d.repairs(),
                List.of(),
                Map.of("", Confidence.GUESS));
    }

    private static Outline outline(Outline outline, EdgeLine before, double widthMm, double heightMm, double scale) {
        if (outline instanceof Outline.RoundedRectangle r) {
            return new Outline.RoundedRectangle(
                    widthMm,
                    heightMm,
                    tenth(r.topLeftMm() * scale),
                    tenth(r.topRightMm() * scale),
                    tenth(r.bottomRightMm() * scale),
                    tenth(r.bottomLeftMm() * scale));
        }
        double radius = tenth(before.equivalentRadiusMm() * scale);
        return new Outline.RoundedRectangle(widthMm, heightMm, radius, radius, radius, radius);
    }

    private static ProfileDocument.Front front(ProfileDocument.Front f, double area) {
        return new ProfileDocument.Front(
                f.holding(),
                f.build(),
                f.seam(),
                f.seamWords(),
                f.hinge(),
                f.greatestOpeningDeg(),
                tenthOfAGram(f.massKg() * area),
                f.adhesive());
    }

    /** The same share of the same edge or corner. */
    private double position(double mm) {
        Landmark landmark = before.landmarkAt(mm);
        EdgeInterval from = before.interval(landmark);
        double share = before.wrap(mm - from.fromMm()) / from.lengthMm();
        return after.parts().stream()
                .filter(part -> part.landmark() == landmark)
                .findFirst()
                .map(part -> part.interval().fromMm() + share * part.interval().lengthMm())
                .orElse(mm * after.lengthMm() / before.lengthMm());
    }

    private Feature feature(Feature f) {
        double from = tenth(after.wrap(position(f.fromMm())));
        double to = position(before.wrap(f.fromMm() + f.lengthMm()));
        // Downwards, so that neighbours that touched don't overlap by a rounded tenth.
        double length = Math.floor(after.wrap(to - from) * 10) / 10;
        return new Feature(
                f.id(),
                f.kind(),
                f.words(),
                from,
                Math.max(1, length),
                f.depthMm(),
                f.hazard(),
                f.consequence(),
                f.keepsTapeOff());
    }

    private AlongEdge along(AlongEdge width) {
        return new AlongEdge(
                width.everywhereMm(),
                width.except().stream()
                        .map(e -> {
                            double from = tenth(after.wrap(position(e.fromMm())));
                            double to = position(before.wrap(e.fromMm() + e.lengthMm()));
                            return new AlongEdge.Except(
                                    from, Math.max(1, Math.floor(after.wrap(to - from) * 10) / 10), e.valueMm());
                        })
                        .toList());
    }

    private Screw screw(Screw s) {
        return new Screw(
                s.id(),
                tenth(s.xMm() * after.widthMm() / before.widthMm()),
                tenth(s.yMm() * after.heightMm() / before.heightMm()),
                s.driver(),
                s.lengthMm(),
                s.head(),
                s.layer(),
                s.hidden(),
                s.laterLayer());
    }

    private static double tenthOfAGram(double kg) {
        return Math.round(kg * 10_000) / 10_000.0;
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }
}
