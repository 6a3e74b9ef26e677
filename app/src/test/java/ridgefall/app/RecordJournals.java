package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Plans;
import ridgefall.app.security.SignedIn;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.seal.SealFact;
import ridgefall.core.strip.StripFact;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes the journals that {@link ReplayTest} replays. No test: run by name, on purpose, and only to add journals of code
 * that is out there.
 */
@ExtendWith(RunningApp.class)
class RecordJournals {
    private static final int TAPS = 220;

    private final App app;
    private final JsonMapper json;

    RecordJournals(App app) {
        this.app = app;
        this.json = app.bean(JsonMapper.class);
    }

    @Test
    void record() throws IOException {
        Files.createDirectories(ReplayTest.FOLDER);
        Client lead = app.signedIn(Role.LEAD);
        int seed = 0;
        for (JsonNode device : lead.get("/api/devices?query=").json()) {
            List<JsonNode> variants =
                    new ArrayList<>(device.get("variants").valueStream().toList());
            if (variants.isEmpty()) {
                variants.add(json.nullNode());
            }
            for (JsonNode variant : variants) {
                UUID job = UUID.randomUUID();
                ObjectNode opening = json.createObjectNode();
                opening.put("commandId", job.toString())
                        .put("profileId", device.get("id").asString());
                opening.set("variantId", variant.isNull() ? variant : variant.get("id"));
                opening.put("owner", "Hut at Nine Tarns").putNull("contact").put("fault", "cracked, recorded");
                assertThat(lead.post("/api/jobs", opening).status()).isEqualTo(200);
                wander(job, new Random(seed++));
                ObjectNode file = json.createObjectNode();
                file.put("format", "ridgefall-replay/1");
                file.set(
                        "journal",
                        lead.get("/api/jobs/" + job + "/export").json().get("journal"));
                Course course = app.bean(Plans.class)
                        .course(app.bean(Jobs.class).course(job).journal());
                file.set("told", json.readTree(json.writeValueAsString(ReplayTest.told(course))));
                String name = device.get("id").asString()
                        + (variant.isNull() ? "" : "-" + variant.get("id").asString());
                Files.writeString(ReplayTest.FOLDER.resolve(name + ".json"), file.toPrettyString() + "\n");
            }
        }
    }

    /** Mostly what comes next; now and then another answer, a mishap, something taken back, a sign-off. */
    private void wander(UUID job, Random random) {
        Journal journal = app.bean(Journal.class);
        SignedIn who = new SignedIn(new UUID(0, 1), "Marn Ulscarth", Role.LEAD);
        for (int tap = 0; tap < TAPS; tap++) {
            List<Entry> entries = app.bean(Jobs.class).course(job).journal();
            Course course = app.bean(Plans.class).course(entries);
            Optional<Step> next = course.next();
            if (next.isEmpty()) {
                return;
            }
            // Where it is to be warmed again the pick goes in as it is: nobody waits for it.
            boolean cold = next.get().id().equals("separate.warm");
            Fact fact = filled(next.get().choices().get(cold ? 1 : 0).fact());
            double dice = random.nextDouble();
            if (dice < 0.05) {
                fact = new DamageFact.MishapSeen(
                        DamageFact.Mishap.values()[random.nextInt(4)], (double) random.nextInt(100));
            } else if (dice < 0.1) {
                fact = new JobFact.Undone(course.state().latest().seq());
            } else if (dice < 0.25) {
                List<Step.Choice> choices = next.get().choices();
                fact = filled(choices.get(random.nextInt(choices.size())).fact());
            } else if (next.get().problem() && dice < 0.5) {
                fact = new JobFact.HoldOverridden(next.get().id(), "seen by the lead", new SealFact.Sealed());
            }
            boolean endsIt = fact instanceof DecideFact.NotWorthIt
                    || fact instanceof IntakeFact.BatterySeen seen && seen.battery() == IntakeFact.Battery.SWOLLEN;
            if (!endsIt) {
                journal.append(job, new Journal.Command(UUID.randomUUID(), entries.size(), null, fact), who);
            }
        }
    }

    private static Fact filled(Fact fact) {
        if (fact instanceof DecideFact.RepairAgreed f) {
            return new DecideFact.RepairAgreed(
                    f.repairId(), f.grade(), new BigDecimal("189.00"), f.currency(), "the owner");
        } else if (fact instanceof StripFact.ScrewsCounted f) {
            return new StripFact.ScrewsCounted(f.direction(), 14);
        } else if (fact instanceof ProveFact.HandedOver) {
            return new ProveFact.HandedOver("the owner");
        }
        return fact;
    }
}
