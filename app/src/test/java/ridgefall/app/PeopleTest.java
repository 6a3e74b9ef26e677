package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.security.People;
import ridgefall.app.security.People.Person;
import ridgefall.core.job.Role;

/** Who works here: a lead keeps the list, everyone their own password. */
@ExtendWith(RunningApp.class)
class PeopleTest {
    private static final String FIRST = "first-password";

    private final App app;
    private final People people;

    PeopleTest(App app) {
        this.app = app;
        this.people = app.bean(People.class);
    }

    private Person person(Role role) {
        String name = "Person " + UUID.randomUUID();
        people.add(name, FIRST, role);
        return people.all().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private Client signedIn(Person person) {
        Client client = app.client();
        assertThat(client.signIn(person.name(), FIRST).status()).isEqualTo(200);
        return client;
    }

    private Answer change(Person person, Role role, boolean active) {
        return app.signedIn(Role.LEAD)
                .send("PUT", "/api/people/" + person.id(), Map.of("role", role, "active", active));
    }

    @Test
    void anotherRoleEndsTheSessionsThatStillCarryTheOldOne() {
        Person person = person(Role.DESK);
        Client client = signedIn(person);
        assertThat(change(person, Role.TECHNICIAN, true).status()).isEqualTo(204);
        assertThat(client.get("/api/bench").status()).isEqualTo(401);
        assertThat(signedIn(person).get("/api/session").json().at("/me/role").asString())
                .isEqualTo("TECHNICIAN");
    }

    @Test
    void whoeverLeftCannotSignInUntilALeadGivesItBack() {
        Person person = person(Role.TECHNICIAN);
        Client client = signedIn(person);
        change(person, Role.TECHNICIAN, false);
        assertThat(client.get("/api/bench").status()).isEqualTo(401);
        assertThat(app.client().signIn(person.name(), FIRST).status()).isEqualTo(401);
        change(person, Role.TECHNICIAN, true);
        signedIn(person);
    }

    @Test
    void theLastLeadCannotBeLost() {
        Person lead = people.all().stream()
                .filter(p -> p.role() == Role.LEAD)
                .findFirst()
                .orElseThrow();
        Answer answer = change(lead, Role.DESK, true);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("field")).isEqualTo("role");
        assertThat(change(lead, Role.LEAD, false).text("allowed")).contains("the shop needs one who can sign in");
        assertThat(app.signedIn(Role.LEAD).get("/api/bench").status()).isEqualTo(200);
    }

    @Test
    void aLeadSetsAForgottenPasswordAndThePersonTheirOwn() {
        Person person = person(Role.TECHNICIAN);
        Client client = signedIn(person);
        assertThat(client.send("PUT", "/api/session/password", Map.of("old", "wrong-one", "password", "my-own-one"))
                        .text("field"))
                .isEqualTo("old");
        assertThat(client.send("PUT", "/api/session/password", Map.of("old", FIRST, "password", "short"))
                        .text("allowed"))
                .isEqualTo("8 to 72 characters");
        assertThat(client.send("PUT", "/api/session/password", Map.of("old", FIRST, "password", "my-own-one"))
                        .status())
                .isEqualTo(204);
        assertThat(client.get("/api/bench").status())
                .as("the own session goes on")
                .isEqualTo(200);
        assertThat(app.client().signIn(person.name(), FIRST).status()).isEqualTo(401);
        app.signedIn(Role.LEAD)
                .send("PUT", "/api/people/" + person.id() + "/password", Map.of("password", "given-by-lead"));
        assertThat(client.get("/api/bench").status()).isEqualTo(401);
        assertThat(app.client().signIn(person.name(), "given-by-lead").status()).isEqualTo(200);
    }

    @Test
    void onlyALeadKeepsTheList() {
        Person person = person(Role.DESK);
        for (Role role : new Role[] {Role.DESK, Role.TECHNICIAN}) {
            Client client = app.signedIn(role);
            assertThat(client.get("/api/people").status()).isEqualTo(200);
            assertThat(client.send("PUT", "/api/people/" + person.id(), Map.of("role", "LEAD", "active", true))
                            .status())
                    .isEqualTo(403);
            assertThat(client.send("PUT", "/api/people/" + person.id() + "/password", Map.of("password", "taken-over"))
                            .status())
                    .isEqualTo(403);
        }
        assertThat(signedIn(person).get("/api/session").json().at("/me/role").asString())
                .isEqualTo("DESK");
    }

    @Test
    void someoneUnknownIsNamed() {
        Answer answer = app.signedIn(Role.LEAD)
                .send("PUT", "/api/people/" + UUID.randomUUID(), Map.of("role", "LEAD", "active", true));
        assertThat(answer.text("field")).isEqualTo("personId");
    }
}
