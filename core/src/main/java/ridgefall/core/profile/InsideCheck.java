package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.Joint;
import ridgefall.core.profile.ProfileDocument.NearPlastic;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PartThickness;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ProfileDocument.Stretch;

/** What is wrong with what lies under the front: places, what covers what, screws in their holes, the seat. */
final class InsideCheck {
    /** A screw this near the bottom of its hole bottoms before it clamps. */
    private static final double CLEAR_OF_THE_BOTTOM_MM = 0.1;
    /** Threads that hold: at least this many diameters. */
    private static final double LEAST_ENGAGEMENT = 0.8;
    /** No maker's front stands this far above or below its rim. */
    private static final double MOST_PROUD_MM = 1.0;

    private final ProfileDocument device;
    private final EdgeLine edge;
    private final List<Flaw> flaws = new ArrayList<>();
    /** Layers of all that can cover or be held, by id; the front is the layer before the first. */
    private final Map<String, Integer> layers = new HashMap<>(Map.of(ProfileDocument.FRONT, 0));

    private InsideCheck(ProfileDocument device, EdgeLine edge) {
        this.device = device;
        this.edge = edge;
        device.inside().forEach(thing -> layers.put(thing.id(), thing.layer()));
        device.carryOvers().forEach(part -> layers.put(part.id(), part.layer()));
    }

    static List<Flaw> flaws(ProfileDocument device, EdgeLine edge) {
        InsideCheck check = new InsideCheck(device, edge);
        check.names();
        device.connectors().forEach(check::connector);
        device.screws().forEach(check::screw);
        device.inside().forEach(check::inside);
        device.carryOvers().forEach(check::carryOver);
        device.pairedParts().forEach(check::pairedPart);
        device.covers().forEach(check::cover);
        check.seat();
        if (check.flaws.isEmpty()) {
            check.order();
        }
        return check.flaws;
    }

    private void flaw(String path, Object value, String allowed) {
        flaws.add(new Flaw(path, String.valueOf(value), allowed));
    }

    /** What can lie over or be held is called by one name in the whole device. */
    private void names() {
        Map<String, Long> used = Stream.of(
                        Stream.of(ProfileDocument.FRONT),
                        device.inside().stream().map(Inside::id),
                        device.carryOvers().stream().map(CarryOver::id))
                .flatMap(ids -> ids)
                .collect(Collectors.groupingBy(id -> id, Collectors.counting()));
        device.inside().stream()
                .map(Inside::id)
                .filter(id -> used.get(id) > 1)
                .forEach(id -> flaw("inside/" + id, id, "an id that neither a part to carry over nor the front has"));
        device.carryOvers().stream()
                .map(CarryOver::id)
                .filter(ProfileDocument.FRONT::equals)
                .forEach(id -> flaw("carryOvers/" + id, id, "an id other than that of the front"));
    }

    private void known(String path, String id) {
        if (!layers.containsKey(id)) {
            flaw(path, id, "one of " + layers.keySet().stream().sorted().collect(Collectors.joining(", ")));
        }
    }

    /** @param layer null where the thing has none of its own */
    private void coveredBy(String path, String id, Integer layer, Collection<String> covers) {
        for (String cover : covers) {
            known(path + "/coveredBy", cover);
            if (cover.equals(id)) {
                flaw(path + "/coveredBy", cover, "something else: nothing lies over itself");
            } else if (layer != null && layers.getOrDefault(cover, 0) > layer) {
                flaw(path + "/layer", layer, "at least " + layers.get(cover) + ", the layer of " + cover + " over it");
            }
        }
    }

    private void point(String path, Point at) {
        if (at != null && !within(at.xMm(), at.yMm())) {
            flaw(path, at.xMm() + ", " + at.yMm(), inside());
        }
    }

    private void area(String path, Area area) {
        if (area != null
                && !(within(area.xMm(), area.yMm())
                        && within(area.xMm() + area.widthMm(), area.yMm() + area.heightMm()))) {
            flaw(path, area.xMm() + ", " + area.yMm() + ", " + area.widthMm() + " × " + area.heightMm(), inside());
        }
    }

    private boolean within(double xMm, double yMm) {
        return xMm >= 0 && xMm <= edge.widthMm() && yMm >= 0 && yMm <= edge.heightMm();
    }

    private String inside() {
        return "inside " + tenth(edge.widthMm()) + " × " + tenth(edge.heightMm()) + " mm";
    }

    private void connector(Connector plug) {
        String path = "connectors/" + plug.id();
        point(path + "/place", plug.place());
        coveredBy(path, plug.id(), null, plug.coveredBy());
        if (plug.cable() != null) {
            known(path + "/cable/from", plug.cable().from());
            plug.cable().route().forEach(at -> point(path + "/cable/route", at));
        }
    }

    private void screw(Screw screw) {
        String path = "screws/" + screw.id();
        point(path, new Point(screw.xMm(), screw.yMm()));
        coveredBy(path, screw.id(), screw.layer(), screw.coveredBy());
        if (screw.holds() != null) {
            known(path + "/holds", screw.holds());
            device.inside().stream()
                    .filter(thing -> thing.id().equals(screw.holds()) && thing.hold() != InsideHold.SCREWED)
                    .forEach(thing -> flaw(path + "/holds", thing.id(), "something that is held by screws"));
        }
        if (screw.stackMm() != null && screw.threadedMm() != null) {
            double through = screw.underHeadMm() - screw.stackMm();
            double engaged = Math.min(through, screw.threadedMm());
            if (through > screw.threadedMm() - CLEAR_OF_THE_BOTTOM_MM + 1e-9) {
                flaw(
                        path + "/underHeadMm",
                        screw.underHeadMm(),
                        "at most " + tenth(screw.stackMm() + screw.threadedMm() - CLEAR_OF_THE_BOTTOM_MM)
                                + " mm: longer it meets the bottom of its hole");
            } else if (engaged < LEAST_ENGAGEMENT * screw.threadMm() - 1e-9) {
                flaw(
                        path + "/underHeadMm",
                        screw.underHeadMm(),
                        "at least " + tenth(screw.stackMm() + LEAST_ENGAGEMENT * screw.threadMm())
                                + " mm: shorter its thread does not hold");
            }
        }
    }

    private void inside(Inside thing) {
        String path = "inside/" + thing.id();
        area(path + "/area", thing.area());
        coveredBy(path, thing.id(), thing.layer(), thing.coveredBy());
    }

    private void carryOver(CarryOver part) {
        String path = "carryOvers/" + part.id();
        area(path + "/area", part.area());
        point(path + "/centredOn", part.centredOn());
        coveredBy(path, part.id(), part.layer(), part.coveredBy());
    }

    private void pairedPart(PairedPart part) {
        for (Joint joint : part.joints()) {
            point("pairedParts/" + part.id() + "/joints/" + joint.id(), joint.place());
        }
    }

    private void cover(Cover cover) {
        String path = "covers/" + cover.id();
        area(path + "/area", cover.area());
        cover.stretches().forEach(stretch -> stretch(path + "/stretches", stretch));
    }

    private void stretch(String path, Stretch stretch) {
        double perimeter = edge.lengthMm();
        if (stretch.fromMm() >= perimeter || stretch.lengthMm() > perimeter || !(stretch.lengthMm() > 0)) {
            flaw(
                    path,
                    stretch.fromMm() + " + " + stretch.lengthMm(),
                    "on the edge, which is " + tenth(perimeter) + " mm long");
        }
    }

    private void seat() {
        for (NearPlastic plastic : device.seat().plastics()) {
            stretch("seat/plastics/" + plastic.id(), new Stretch(plastic.fromMm(), plastic.lengthMm()));
        }
        if (!device.front().holding().equals(ProfileDocument.Holding.BONDED)) {
            return;
        }
        double adhesiveMm = device.layers().adhesive().thicknessMm();
        for (PartThickness part : device.seat().parts()) {
            double proud = device.seat().proudMm(part.part(), adhesiveMm).orElseThrow();
            if (Math.abs(proud) > MOST_PROUD_MM) {
                flaw(
                        "seat/depthMm",
                        device.seat().depthMm(),
                        "within " + MOST_PROUD_MM + " mm of " + part.part().words() + " and adhesive, "
                                + tenth(part.overLedgeMm() + adhesiveMm) + " mm");
            }
        }
    }

    /** Things come off in some order, and the battery is reached when the body says it is. */
    private void order() {
        List<String> loop = OrderGraph.loop(device);
        if (!loop.isEmpty()) {
            flaw("inside", String.join(", ", loop), "an order: each of them can only come off after another of them");
            return;
        }
        BatteryReach said = device.body().batteryReach();
        OrderGraph.of(device)
                .batteryReach()
                .filter(found -> found != said)
                .ifPresent(found -> flaw(
                        "body/batteryReach", said, found + ": that is where what covers the battery's plug leads"));
    }

    private static String tenth(double mm) {
        return String.format(Locale.ROOT, "%.1f", mm);
    }
}
