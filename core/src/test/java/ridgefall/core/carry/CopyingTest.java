package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.carry.CopyFact.CopiedElsewhere;
import ridgefall.core.carry.CopyFact.CopyBegun;
import ridgefall.core.carry.CopyFact.CopyFailed;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.DataWritten;
import ridgefall.core.carry.CopyFact.Doing;
import ridgefall.core.carry.CopyFact.Trouble;
import ridgefall.core.carry.FrontOnAdapter.Known;
import ridgefall.core.carry.FrontOnAdapter.Refused;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact.Bad;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ShippedBook;

/** The stylus data of the demo tablet: from its old front to the new one. */
class CopyingTest {
    private static final String PART = "stylus-data";
    private static final String HASH = "0a".repeat(32);
    private static final DataRead READ =
            new DataRead(PART, "R2-118", "stylus data, second generation", 16_384, HASH, new UUID(0, 1), "programmer");
    private static final DataWritten WRITTEN = new DataWritten(PART, "R2-500", HASH, "programmer");

    private static Journey until(String step) {
        return new Journey().untilStep("carry." + step + "-" + PART);
    }

    private static CheckAnswered on(String front, Answer answer) {
        return new CheckAnswered("carry." + front + "-on-" + PART, answer, answer == Answer.FAIL ? "dead" : null);
    }

    private static Journey reading() {
        return until("old-on").append(on("old", Answer.PASS)).append(new CopyBegun(PART, Doing.READ));
    }

    private static Journey writing() {
        return reading().append(READ).append(on("new", Answer.PASS)).append(new CopyBegun(PART, Doing.WRITE));
    }

    @Test
    void eachFrontIsPluggedInWithTheBatteryOutAndHasToStart() {
        Journey journey = until("old-on");
        assertThat(journey.next().orElseThrow().hint())
                .startsWith("battery out first; 24-way ribbon adapter, type R; plug home until it clicks");
        assertThat(journey.heldBy(new CopyBegun(PART, Doing.READ))).containsExactly("carry.old-on-" + PART);
        journey.append(on("old", Answer.FAIL));
        assertThat(journey.next().orElseThrow().hint()).startsWith("a plug far sooner than a part");
        assertThat(journey.next().orElseThrow().choices())
                .as("an old front that stays dead has somewhere to go")
                .extracting(Step.Choice::label)
                .contains("By another programmer", "Lost");
        journey.append(on("old", Answer.PASS));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("carry.read-" + PART);
        assertThat(journey.heldBy(new CopyBegun(PART, Doing.WRITE)))
                .containsExactly("carry.read-" + PART, "carry.new-on-" + PART);
    }

    @Test
    void whatIsReadIsKeptWrittenReadBackAndOnlyThenOver() {
        Journey journey = reading();
        Step reads = journey.next().orElseThrow();
        assertThat(reads.lead()).isEqualTo(Step.Lead.RUNS);
        assertThat(reads.choices()).extracting(Step.Choice::label).containsExactly("Stop");
        assertThat(journey.heldBy(new CopyBegun(PART, Doing.READ)))
                .as("once is enough")
                .containsExactly("carry.read-" + PART);
        assertThat(journey.heldBy(on("new", Answer.PASS)))
                .as("no plug moves meanwhile")
                .containsExactly("carry.read-" + PART);
        journey.append(READ);
        assertThat(journey.step("carry.read-" + PART).answer()).isEqualTo("16,384 bytes, 0a0a0a0a, kept");
        assertThat(journey.next().orElseThrow().id()).isEqualTo("carry.new-on-" + PART);
        assertThat(journey.holds(new CarriedOver(PART))).singleElement().satisfies(hold -> {
            assertThat(hold.id()).isEqualTo("carry.write-" + PART);
            assertThat(hold.overridable()).isTrue();
        });
        journey.append(on("new", Answer.PASS)).append(new CopyBegun(PART, Doing.WRITE));
        assertThat(journey.holds(new CarriedOver(PART)))
                .singleElement()
                .satisfies(hold -> assertThat(hold.overridable())
                        .as("while it is written nobody may unplug it")
                        .isFalse());
        assertThatThrownBy(() -> journey.holds(new DataWritten(PART, "R2-500", "0b".repeat(32), "programmer")))
                .hasMessageContaining("allowed: that of what was read");
        journey.append(WRITTEN);
        assertThat(journey.step("carry.write-" + PART).answer()).isEqualTo("reads back the same, 0a0a0a0a");
        assertThat(journey.heldBy(new CarriedOver(PART))).isEmpty();
        assertThat(journey.next().orElseThrow().id()).isEqualTo("carry." + PART);
    }

    /** What is wrong with a plug is mended at the plug, with the battery out; anything else by trying again. */
    @ParameterizedTest
    @EnumSource
    void everyTroubleLeadsOnFromWhereItIsMended(Trouble trouble) {
        Journey read = reading().append(new CopyFailed(PART, Doing.READ, trouble, "said so"));
        Step next = read.next().orElseThrow();
        boolean plug = trouble == Trouble.ADAPTER_OPEN
                || trouble == Trouble.RESTARTS
                || trouble == Trouble.OTHER_GENERATION
                || trouble == Trouble.OTHER_FRONT;
        assertThat(next.id()).isEqualTo((plug ? "carry.old-on-" : "carry.read-") + PART);
        assertThat(next.answer()).isEqualTo(trouble.words() + ": said so");
        assertThat(next.hint()).isEqualTo(trouble.remedy());
        if (plug) {
            read.append(on("old", Answer.PASS));
            assertThat(read.next().orElseThrow().answer())
                    .as("home anew: as if nothing had been")
                    .isNull();
        }
        assertThat(read.next().orElseThrow().choices().get(0).fact()).isEqualTo(new CopyBegun(PART, Doing.READ));
        read.append(new CopyBegun(PART, Doing.READ)).append(READ);
        assertThat(read.next().orElseThrow().id()).isEqualTo("carry.new-on-" + PART);
    }

    @Test
    void aWriteThatDidNotEndSaysWhatTheNewFrontMayHold() {
        Journey journey = writing().append(new CopyFailed(PART, Doing.WRITE, Trouble.BROKEN_OFF, null));
        Step write = journey.next().orElseThrow();
        assertThat(write.id()).isEqualTo("carry.write-" + PART);
        assertThat(write.answer()).endsWith("; the new front may hold half of it");
        assertThat(journey.step("carry.read-" + PART).open())
                .as("what was read stays")
                .isFalse();
        journey.append(new CopyBegun(PART, Doing.WRITE)).append(WRITTEN);
        assertThat(journey.heldBy(new CarriedOver(PART))).isEmpty();
    }

    @Test
    void onAnotherNewFrontItIsWrittenAnewFromWhatWasKept() {
        Journey journey = writing().append(WRITTEN).append(new CarriedOver(PART));
        journey.append(new PartSwapped(PartKind.FUSED_FRONT, null, Bad.DEAD_AT_TEST, null, true));
        assertThat(journey.step("carry.read-" + PART).open()).isFalse();
        assertThat(journey.step("carry.new-on-" + PART).open()).isTrue();
        assertThat(journey.step("carry.write-" + PART).open()).isTrue();
        assertThat(journey.step("carry." + PART).open()).isTrue();
    }

    @Test
    void aCopyMadeByAnotherProgrammerIsToldByItsTwoChecksums() {
        Journey journey = until("old-on").append(new CopiedElsewhere(PART, "4f3a", "4F3B"));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("carry.write-" + PART);
        assertThat(journey.next().orElseThrow().answer()).isEqualTo("4f3a read, 4F3B read back");
        journey.append(new CopiedElsewhere(PART, "4f3a", " 4F3A"));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("carry." + PART);
        assertThat(journey.heldBy(new CarriedOver(PART))).isEmpty();
    }

    @Test
    void whoeverHadItOverBeforeThisWasAskedIsNotAsked() {
        Journey before = new Journey().until(Station.CARRY).append(new CarriedOver(PART));
        assertThat(before.stepIds(Station.CARRY)).doesNotContain("carry.old-on-" + PART);
        Journey givenUp = until("read").append(new CarryOverLost(PART, "no adapter"));
        assertThat(givenUp.stepIds(Station.CARRY)).doesNotContain("carry.read-" + PART);
    }

    @Test
    void nothingIsToldOfWhatWasNotBegun() {
        assertThat(until("read").heldBy(new DataWritten(PART, "R2-500", HASH, "programmer")))
                .containsExactly("carry.write-" + PART);
        assertThat(reading().append(READ).heldBy(READ)).containsExactly("carry.read-" + PART);
        assertThat(until("read").heldBy(new CopyFailed(PART, Doing.READ, Trouble.STOPPED, null)))
                .containsExactly("carry.read-" + PART);
        assertThatThrownBy(() -> until("read").holds(new CopyBegun("magnets", Doing.READ)))
                .hasMessage("partId is magnets; allowed: one of stylus-data");
        assertThatThrownBy(() -> new DataWritten(PART, "R2-500", "4F", "programmer").check())
                .hasMessageContaining("64 digits of 0 to 9 and a to f");
    }

    private static final PairedPart BOOK = ShippedBook.quire11().pairedParts().get(0);
    private static final String SECOND = "stylus data, second generation";

    @Test
    void theRightFrontIsReadAndAnotherIsNot() {
        assertThat(new FrontOnAdapter("R2-118", SECOND, null).toRead(BOOK, null))
                .isEmpty();
        assertThat(new FrontOnAdapter("R2-118", SECOND, null).toRead(BOOK, READ))
                .isEmpty();
        assertThat(new FrontOnAdapter("R2-119", SECOND, null).toRead(BOOK, READ))
                .contains(new Refused(Trouble.OTHER_FRONT, "this is R2-119, read was R2-118"));
        assertThat(new FrontOnAdapter("R2-119", SECOND, new Known(12, true)).toRead(BOOK, null))
                .contains(new Refused(
                        Trouble.OTHER_FRONT, "R2-119: its data were read for job 12: the old front of that device"));
        assertThat(new FrontOnAdapter("R3-7", "stylus data, third generation", null).toRead(BOOK, null))
                .map(Refused::trouble)
                .contains(Trouble.OTHER_GENERATION);
    }

    @Test
    void nothingIsWrittenToTheOldFrontNorToOneThatBearsOtherData() {
        assertThat(new FrontOnAdapter("R2-500", SECOND, null).toWrite(BOOK, READ))
                .isEmpty();
        assertThat(new FrontOnAdapter("R2-118", SECOND, null).toWrite(BOOK, READ))
                .map(Refused::said)
                .contains("this is R2-118, the old one: the new one belongs there");
        assertThat(new FrontOnAdapter("R2-500", SECOND, new Known(12, false)).toWrite(BOOK, READ))
                .map(Refused::said)
                .contains("R2-500: it bears the data of job 12");
        assertThat(new FrontOnAdapter("R3-500", "stylus data, third generation", null).toWrite(BOOK, READ))
                .map(Refused::trouble)
                .contains(Trouble.OTHER_GENERATION);
    }

    @Test
    void theFirstByteThatDiffersIsTold() {
        byte[] written = "abcd".getBytes(StandardCharsets.US_ASCII);
        assertThat(FrontOnAdapter.differs(written, written.clone())).isEmpty();
        assertThat(FrontOnAdapter.differs(written, "abCd".getBytes(StandardCharsets.US_ASCII)))
                .contains(new Refused(Trouble.DIFFERS, "byte 2: written 63, reads 43"));
        assertThat(FrontOnAdapter.differs(written, "abc".getBytes(StandardCharsets.US_ASCII)))
                .contains(new Refused(Trouble.DIFFERS, "byte 3: written 64, reads nothing"));
    }
}
