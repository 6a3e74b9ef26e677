package ridgefall.app.security;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import ridgefall.core.job.Role;

/** Who sits at this screen; lives in the session, which lives in the database. */
public record SignedIn(UUID personId, String name, Role role) implements Principal, Serializable {
    @Override
    public String getName() {
        return name;
    }
}
