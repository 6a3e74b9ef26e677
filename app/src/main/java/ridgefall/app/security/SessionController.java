package ridgefall.app.security;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.demo.DemoPeople;
import ridgefall.app.http.Problem;
import ridgefall.app.security.People.Outcome;
import ridgefall.app.security.People.Units;
import ridgefall.core.job.Role;
import ridgefall.core.units.NotAllowed;

@RestController
@RequestMapping("/api")
class SessionController {
    private final People people;
    private final Clock clock;
    private final boolean demo;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    SessionController(People people, Clock clock, @Value("${ridgefall.demo}") boolean demo) {
        this.people = people;
        this.clock = clock;
        this.demo = demo;
    }

    record Me(String name, Role role, String roleWords, List<May> may, Units units) {}

    /** {@code demoSignIns} is empty unless this is the demo. */
    record SessionView(@Schema(nullable = true) Me me, Instant serverTime, List<DemoPeople.DemoSignIn> demoSignIns) {}

    record SignIn(String name, String password) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal SignedIn who) {
        Me me = who == null
                ? null
                : new Me(who.name(), who.role(), who.role().words(), May.of(who.role()), people.units(who.personId()));
        return new SessionView(me, clock.instant(), demo ? DemoPeople.SIGN_INS : List.of());
    }

    @PostMapping("/session")
    SessionView signIn(@RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
        if (given.name() == null || given.password() == null) {
            throw Problem.of(HttpStatus.BAD_REQUEST, "Name and password are needed", "Type both", Map.of());
        }
        Outcome outcome = people.signIn(given.name(), given.password(), request.getRemoteAddr());
        if (outcome instanceof Outcome.Welcome welcome) {
            if (request.getSession(false) != null) {
                request.changeSessionId();
            }
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                    welcome.who(),
                    null,
                    AuthorityUtils.createAuthorityList("ROLE_" + welcome.who().role())));
            SecurityContextHolder.setContext(context);
            sessions.saveContext(context, request, response);
            return session(welcome.who());
        }
        if (outcome instanceof Outcome.Locked locked) {
            long minutes = 1 + Duration.between(clock.instant(), locked.until()).toMinutes();
            throw Problem.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too many wrong tries",
                    "Sign-in for this name rests here for " + minutes + " minutes",
                    Map.of(
                            "field",
                            "name",
                            "value",
                            given.name(),
                            "allowed",
                            "another try in " + minutes + " minutes"));
        }
        if (outcome instanceof Outcome.Busy) {
            throw busy();
        }
        throw Problem.of(
                HttpStatus.UNAUTHORIZED, "Not signed in", "Name or password is wrong", Map.of("field", "password"));
    }

    /** Passwords take this machine's time on purpose. */
    static Problem busy() {
        return Problem.of(
                HttpStatus.TOO_MANY_REQUESTS,
                "Many sign in at once",
                "Try again in a few seconds; nothing you entered is lost",
                Map.of());
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @PutMapping("/session/units")
    Units units(@RequestBody Units units, @AuthenticationPrincipal SignedIn who) {
        people.setUnits(who.personId(), units);
        return units;
    }

    record NewPassword(String old, String password) {}

    @PutMapping("/session/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(
            @RequestBody NewPassword given, @AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
        String session = request.getSession().getId();
        if (!people.changePassword(who.personId(), given.old(), given.password(), session, request.getRemoteAddr())) {
            throw new NotAllowed("old", "(not shown)", "the password you sign in with now");
        }
    }
}
