package ridgefall.app.demo;

import java.util.List;
import ridgefall.core.job.Role;

/** The people of the demo workshop. Their passwords are no secret: they exist only where demo mode is on. */
public final class DemoPeople {
    public record DemoSignIn(String name, String password, Role role, String roleWords) {}

    public static final List<DemoSignIn> SIGN_INS = List.of(
            new DemoSignIn("Ansa Orrick", "warm-ledge-11", Role.TECHNICIAN, Role.TECHNICIAN.words()),
            new DemoSignIn("Tove Brandreth", "ferry-desk-22", Role.DESK, Role.DESK.words()),
            new DemoSignIn("Marn Ulscarth", "ridge-lead-33", Role.LEAD, Role.LEAD.words()));

    private DemoPeople() {}
}
