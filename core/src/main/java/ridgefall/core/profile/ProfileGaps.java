package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.profile.ProfileDocument.CoverKind;
import ridgefall.core.profile.ProfileDocument.Holding;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * What nobody has looked at yet: the device can be worked from, and some of what the bench could say of it is not known. A
 * device of the first format has many of these, one that ships has none.
 */
public final class ProfileGaps {
    private static final Set<PartKind> ON_THE_LEDGE =
            Set.of(PartKind.GLASS_WITH_TOUCH, PartKind.FUSED_FRONT, PartKind.CLIPPED_FRONT, PartKind.TOUCH_GLASS);

    private final ProfileDocument device;
    private final List<Flaw> gaps = new ArrayList<>();

    private ProfileGaps(ProfileDocument device) {
        this.device = device;
    }

    /** @return in the form of flaws: where, that it is not known, and what is wanted there */
    public static List<Flaw> gaps(ProfileDocument device) {
        ProfileGaps search = new ProfileGaps(device);
        if (device.connectors().stream().noneMatch(plug -> plug.role() == PlugRole.BATTERY)) {
            search.gap("connectors", "the battery's plug: without it nobody can say what is live");
        }
        if (device.inside().stream().noneMatch(thing -> thing.kind() == InsideKind.BATTERY)) {
            search.gap("inside", "the battery and where it lies");
        }
        device.connectors().forEach(search::connector);
        device.screws().forEach(search::screw);
        device.inside().forEach(search::inside);
        device.carryOvers().forEach(search::carryOver);
        device.pairedParts().forEach(search::pairedPart);
        device.covers().forEach(search::cover);
        device.repairs().forEach(search::repair);
        return List.copyOf(search.gaps);
    }

    private void gap(String path, String wanted) {
        gaps.add(new Flaw(path, "not known", wanted));
    }

    private void connector(Connector plug) {
        String path = "connectors/" + plug.id();
        if (plug.place() == null) {
            gap(path + "/place", "where it is");
        }
        if (plug.cable() == null) {
            gap(path + "/cable", "what its cable belongs to, and its way");
        }
    }

    private void carryOver(CarryOver part) {
        String path = "carryOvers/" + part.id();
        if (part.area() == null) {
            gap(path + "/area", "where it sits");
        }
        if (part.layer() == 0 && part.offBy().isEmpty()) {
            gap(path + "/offBy", "how it comes off");
        }
    }

    private void screw(Screw screw) {
        String path = "screws/" + screw.id();
        if (screw.stackMm() == null) {
            gap(path + "/stackMm", "how thick what it clamps is");
        }
        if (screw.threadedMm() == null) {
            gap(path + "/threadedMm", "how deep its thread goes on");
        }
        if (screw.holds() == null && !screw.laterLayer()) {
            gap(path + "/holds", "what it holds");
        }
    }

    private void inside(Inside thing) {
        String path = "inside/" + thing.id();
        if (thing.area() == null) {
            gap(path + "/area", "where it lies");
        }
        boolean screwed = device.screws().stream().anyMatch(screw -> thing.id().equals(screw.holds()));
        if (thing.hold() == InsideHold.SCREWED && !screwed) {
            gap(path + "/hold", "the screws that hold it");
        }
    }

    private void pairedPart(PairedPart part) {
        String path = "pairedParts/" + part.id();
        if (part.method() == PairingMethod.MOVE_BOARD && part.joints().isEmpty()) {
            gap(path + "/joints", "the joints of its board");
        }
        if (part.method() == PairingMethod.COPY_DATA && part.adapter() == null) {
            gap(path + "/adapter", "what the front is read through");
        }
        if (part.generation() == null) {
            gap(path + "/generation", "its generation");
        }
    }

    private void cover(Cover cover) {
        if (cover.kind() == CoverKind.LINER && cover.stretches().isEmpty()) {
            gap("covers/" + cover.id() + "/stretches", "the stretches of the edge it lies on");
        }
        if (cover.kind() == CoverKind.FILM && cover.area() == null) {
            gap("covers/" + cover.id() + "/area", "where it lies");
        }
    }

    private void repair(Repair repair) {
        if (repair.parts().contains(PartKind.OPTICAL_LIQUID)
                && device.opticalBonds().isEmpty()) {
            gap("opticalBonds", "how glass and panel are joined for: " + repair.words());
        }
        if (device.front().holding() == Holding.BONDED) {
            repair.parts().stream()
                    .filter(ON_THE_LEDGE::contains)
                    .filter(part -> device.seat().proudMm(part, 0).isEmpty())
                    .forEach(part -> gap("seat/parts", "how thick a " + part.words() + " is over the ledge"));
        }
    }
}
