package ridgefall.core.profile;

import java.util.List;
import java.util.Map;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Outline;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.ProfileDocument.AlongEdge;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.Cable;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.profile.ProfileDocument.Feature;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.Joint;
import ridgefall.core.profile.ProfileDocument.NearPlastic;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ProfileDocument.Seat;
import ridgefall.core.profile.ProfileDocument.Stretch;
import ridgefall.core.units.Allowed;

/**
 * A new device drawn from one that is like it: what lies on an edge keeps its share of that edge, what lies inside keeps
 * its share of the face, masses grow with the area. All of it is a guess until somebody measures.
 */
public final class Resizing {
    private final EdgeLine before;
    private final EdgeLine after;
    private final double across;
    private final double down;

    private Resizing(EdgeLine before, EdgeLine after) {
        this.before = before;
        this.after = after;
        this.across = after.widthMm() / before.widthMm();
        this.down = after.heightMm() / before.heightMm();
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
                resizing.seat(d.seat()),
                d.features().stream().map(resizing::feature).toList(),
                d.functions(),
                d.connectors().stream().map(resizing::connector).toList(),
                d.screws().stream().map(resizing::screw).toList(),
                d.inside().stream().map(resizing::inside).toList(),
                d.carryOvers().stream().map(resizing::carryOver).toList(),
                d.pairedParts().stream().map(resizing::pairedPart).toList(),
                d.covers().stream().map(resizing::cover).toList(),
                d.seals(),
                d.opticalBonds(),
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
                f.panel(),
                f.adhesive());
    }

    /** The same share of the same edge or corner. */
    private double position(double mm) {
        Landmark landmark = before.landmarkAt(mm);
        EdgeInterval from = before.interval(landmark);
        double share = before.turn().wrap(mm - from.fromMm()) / from.lengthMm();
        return after.parts().stream()
                .filter(part -> part.landmark() == landmark)
                .findFirst()
                .map(part -> part.interval().fromMm() + share * part.interval().lengthMm())
                .orElse(mm * after.lengthMm() / before.lengthMm());
    }

    /** Downwards, so that neighbours that touched don't overlap by a rounded tenth. */
    private Stretch stretch(double fromMm, double lengthMm) {
        if (lengthMm >= before.lengthMm() - 1e-6) {
            return new Stretch(0, Math.floor(after.lengthMm() * 10) / 10);
        }
        double from = tenth(after.turn().wrap(position(fromMm)));
        double to = position(before.turn().wrap(fromMm + lengthMm));
        return new Stretch(from, Math.max(1, Math.floor(after.turn().wrap(to - from) * 10) / 10));
    }

    private Feature feature(Feature f) {
        Stretch at = stretch(f.fromMm(), f.lengthMm());
        return new Feature(
                f.id(),
                f.kind(),
                f.words(),
                at.fromMm(),
                at.lengthMm(),
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
                            Stretch at = stretch(e.fromMm(), e.lengthMm());
                            return new AlongEdge.Except(at.fromMm(), at.lengthMm(), e.valueMm());
                        })
                        .toList());
    }

    private Seat seat(Seat seat) {
        return new Seat(
                seat.material(),
                seat.depthMm(),
                seat.parts(),
                seat.plastics().stream()
                        .map(p -> {
                            Stretch at = stretch(p.fromMm(), p.lengthMm());
                            return new NearPlastic(p.id(), p.words(), at.fromMm(), at.lengthMm(), p.inwardMm());
                        })
                        .toList());
    }

    private Cover cover(Cover c) {
        return new Cover(
                c.id(),
                c.words(),
                c.hint(),
                c.kind(),
                c.stretches().stream()
                        .map(s -> stretch(s.fromMm(), s.lengthMm()))
                        .toList(),
                area(c.area()));
    }

    private Screw screw(Screw s) {
        Point at = point(new Point(s.xMm(), s.yMm()));
        return new Screw(
                s.id(),
                at.xMm(),
                at.yMm(),
                s.driver(),
                s.threadMm(),
                s.underHeadMm(),
                s.head(),
                s.stackMm(),
                s.threadedMm(),
                s.layer(),
                s.hidden(),
                s.laterLayer(),
                s.coveredBy(),
                s.holds());
    }

    private Connector connector(Connector c) {
        Cable cable = c.cable();
        return new Connector(
                c.id(),
                c.words(),
                c.family(),
                c.role(),
                c.latchSide(),
                c.stackOrder(),
                c.seatingProof(),
                c.needsIsolation(),
                point(c.place()),
                c.coveredBy(),
                cable == null
                        ? null
                        : new Cable(
                                cable.from(),
                                cable.tight(),
                                cable.route().stream().map(this::point).toList()));
    }

    private Inside inside(Inside i) {
        return new Inside(i.id(), i.words(), i.kind(), i.hold(), area(i.area()), i.layer(), i.coveredBy());
    }

    private CarryOver carryOver(CarryOver c) {
        return new CarryOver(
                c.id(),
                c.words(),
                c.hint(),
                c.irreplaceable(),
                c.brings(),
                area(c.area()),
                c.layer(),
                c.coveredBy(),
                c.offBy(),
                c.mostC(),
                point(c.centredOn()),
                c.leastBendMm(),
                c.tapeMm(),
                c.lays(),
                c.functionId());
    }

    private PairedPart pairedPart(PairedPart p) {
        return new PairedPart(
                p.id(),
                p.words(),
                p.hint(),
                p.method(),
                p.functionId(),
                p.joints().stream()
                        .map(j -> new Joint(j.id(), j.words(), point(j.place())))
                        .toList(),
                p.adapter(),
                p.generation(),
                p.solderMeltsC());
    }

    private Point point(Point at) {
        return at == null ? null : new Point(tenth(at.xMm() * across), tenth(at.yMm() * down));
    }

    private Area area(Area a) {
        return a == null
                ? null
                : new Area(
                        tenth(a.xMm() * across),
                        tenth(a.yMm() * down),
                        Math.floor(a.widthMm() * across * 10) / 10,
                        Math.floor(a.heightMm() * down * 10) / 10);
    }

    private static double tenthOfAGram(double kg) {
        return Math.round(kg * 10_000) / 10_000.0;
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }
}
