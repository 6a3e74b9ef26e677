package ridgefall.app.security;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.security.People.Person;
import ridgefall.core.job.Role;

/** Who works here. Everyone may see it; only a lead changes it, which the filter chain says. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    record NewPerson(String name, String password, Role role) {}

    record Standing(Role role, boolean active) {}

    record GivenPassword(String password) {}

    @GetMapping
    List<Person> people() {
        return people.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    void add(@RequestBody NewPerson person, HttpServletRequest request) {
        people.add(person.name(), person.password(), person.role(), request.getRemoteAddr());
    }

    @PutMapping("/{personId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable UUID personId, @RequestBody Standing standing) {
        people.change(personId, standing.role(), standing.active());
    }

    @PutMapping("/{personId}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(@PathVariable UUID personId, @RequestBody GivenPassword given, HttpServletRequest request) {
        people.setPassword(personId, given.password(), request.getRemoteAddr());
    }
}
