package ridgefall.core.prove;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;
import ridgefall.core.prove.ProveFact.HeardBack;
import ridgefall.core.prove.ProveFact.SealTested;
import ridgefall.core.prove.ProveFact.Signed;
import ridgefall.core.prove.ProveFact.Signer;

/**
 * Whether it went back.
 *
 * @param toldHow how the owner was told that it is ready; empty where nobody has
 * @param sealTested what the tester read last of this seal
 * @param signatures under this repair, at most one for each side
 * @param heardBack how it was after a week; empty where nobody asked
 */
public record ProveState(
        Optional<String> toldHow,
        Optional<Instant> handedOverAt,
        Optional<Tested> sealTested,
        List<Signature> signatures,
        Optional<Heard> heardBack) {
    /** After that long the owner knows how it is. */
    public static final Duration AT_HOME = Duration.ofDays(7);

    static final ProveState NOTHING =
            new ProveState(Optional.empty(), Optional.empty(), Optional.empty(), List.of(), Optional.empty());

    public record Tested(SealTested fact, Instant at) {}

    public record Signature(Signed fact, Instant at) {}

    public record Heard(HeardBack fact, Instant at) {}

    public static ProveState of(JobState job) {
        return job.of(ProveFact.FAMILY);
    }

    public Optional<Signature> signed(Signer signer) {
        return signatures.stream().filter(s -> s.fact().signer() == signer).findFirst();
    }

    /** Another seal was not tested, and another repair is not what was signed for. */
    ProveState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened
                ? new ProveState(toldHow, handedOverAt, Optional.empty(), List.of(), heardBack)
                : this;
    }

    ProveState told(String how) {
        return new ProveState(Optional.of(how), handedOverAt, sealTested, signatures, heardBack);
    }

    ProveState gone(Instant at) {
        return new ProveState(toldHow, Optional.of(at), sealTested, signatures, heardBack);
    }

    ProveState tested(SealTested fact, Instant at) {
        return new ProveState(toldHow, handedOverAt, Optional.of(new Tested(fact, at)), signatures, heardBack);
    }

    ProveState signed(Signed fact, Instant at) {
        List<Signature> signed = Stream.concat(
                        signatures.stream().filter(s -> s.fact().signer() != fact.signer()),
                        Stream.of(new Signature(fact, at)))
                .toList();
        return new ProveState(toldHow, handedOverAt, sealTested, signed, heardBack);
    }

    ProveState heard(HeardBack fact, Instant at) {
        return new ProveState(toldHow, handedOverAt, sealTested, signatures, Optional.of(new Heard(fact, at)));
    }
}
