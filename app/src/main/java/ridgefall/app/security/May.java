package ridgefall.app.security;

import java.util.Arrays;
import java.util.List;
import ridgefall.core.job.Role;

/** What a role may do besides recording facts; screens offer what the session says, the filter chain holds to it. */
public enum May {
    WORK_AT_THE_BENCH(Role.TECHNICIAN),
    DRAW_DEVICES(Role.TECHNICIAN),
    RELEASE_DEVICES(Role.LEAD),
    PROPOSE_CORRECTIONS(Role.TECHNICIAN),
    CHANGE_THE_SHELF(Role.TECHNICIAN),
    CHANGE_TOOLS(Role.TECHNICIAN),
    CHANGE_THE_SHOP(Role.LEAD),
    CHANGE_PEOPLE(Role.LEAD),
    ERASE_OWNERS(Role.LEAD),
    BRING_JOBS_IN(Role.LEAD);

    private final Role first;

    /** @param first who may; whoever comes after may too */
    May(Role first) {
        this.first = first;
    }

    static List<May> of(Role role) {
        return Arrays.stream(values())
                .filter(may -> role.compareTo(may.first) >= 0)
                .toList();
    }

    /** Names of those who may. */
    String[] roles() {
        return Arrays.stream(Role.values())
                .filter(role -> role.compareTo(first) >= 0)
                .map(Role::name)
                .toArray(String[]::new);
    }
}
