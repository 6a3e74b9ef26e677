package ridgefall.app.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.ArgumentCaptor;
import ridgefall.app.instrument.Instruments.Instrument;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.instrument.Readings.Run;

/** Instruments that are lost, slow, lying or send garbage are shown as that, and nothing else stops. */
class WatchTest {
    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");
    private static final Run SOAKING = new Run(new UUID(0, 7), 12, NOW.minusSeconds(60));

    private static final List<Channel> FRAME = List.of(new Channel(Quantity.TEMPERATURE, "FRAME", "MEAS:TEMP?"));

    private final Readings readings = mock();
    private final Instruments instruments = mock();
    private final Leases leases = mock();
    private final ShopNets nets = mock();
    private final Watch watch = new Watch(instruments, readings, leases, nets, Clock.fixed(NOW, ZoneOffset.UTC));
    private final ExecutorService talking = Executors.newCachedThreadPool();
    private ServerSocket server;

    /** @param answers the bytes sent for a query; null hangs up */
    private Instrument thatAnswers(UnaryOperator<String> answers) {
        try {
            server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        talking.execute(() -> {
            while (!server.isClosed()) {
                try (Socket caller = server.accept()) {
                    BufferedReader in = new BufferedReader(
                            new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
                    for (String query = in.readLine(); query != null; query = in.readLine()) {
                        String answer = answers.apply(query);
                        if (answer == null) {
                            break;
                        }
                        caller.getOutputStream().write(answer.getBytes(StandardCharsets.US_ASCII));
                        caller.getOutputStream().flush();
                    }
                } catch (IOException e) {
                    // The caller has gone; so does this conversation.
                }
            }
        });
        when(readings.soakingOn("plate-1")).thenReturn(Optional.of(SOAKING));
        return new Instrument("t", "Thermocouple", "127.0.0.1", server.getLocalPort(), "SOAK", "plate-1", FRAME);
    }

    private void ask(Instrument instrument) {
        watch.ask(instrument, placeOf(instrument));
    }

    private static InetSocketAddress placeOf(Instrument instrument) {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), instrument.port());
    }

    /** In Celsius unless told otherwise. */
    private Instrument thatSays(String temperature) {
        return thatAnswers(query -> query.equals("UNIT:TEMP?") ? "C\n" : temperature);
    }

    @AfterEach
    void close() throws IOException {
        watch.destroy();
        if (server != null) {
            server.close();
        }
        talking.shutdownNow();
    }

    private double kept() {
        ArgumentCaptor<Reading> reading = ArgumentCaptor.forClass(Reading.class);
        verify(readings).add(eq(SOAKING.jobId()), eq(12L), reading.capture());
        assertThat(reading.getValue().place()).isEqualTo("FRAME");
        assertThat(reading.getValue().readAt()).isEqualTo(NOW);
        return reading.getValue().value();
    }

    @Test
    void aSoundAnswerIsKeptWithTheSoakItIsAbout() {
        ask(thatSays("+4.53120000E+01\n"));
        assertThat(kept()).isCloseTo(45.312, within(1e-9));
        assertThat(watch.status("t").trouble()).isNull();
        assertThat(watch.status("t").said()).containsExactly(new Watch.Said(Quantity.TEMPERATURE, "FRAME", 45.312));
    }

    @Test
    void whateverItMeasuresIsKeptWithTheRunItAttendsTo() {
        Instrument meter = thatAnswers(query -> query.equals("MEAS:CURR?") ? "+8.4E-01\n" : "+5.11\n");
        Instrument charging = new Instrument(
                "t",
                "Power meter",
                "127.0.0.1",
                meter.port(),
                "DRYING",
                null,
                List.of(
                        new Channel(Quantity.CURRENT, "charger", "MEAS:CURR?"),
                        new Channel(Quantity.VOLTAGE, "charger", "MEAS:VOLT?")));
        when(readings.latest("DRYING")).thenReturn(Optional.of(new Run(new UUID(0, 8), 31, NOW)));
        ask(charging);
        verify(readings).add(new UUID(0, 8), 31, new Reading("Power meter", Quantity.CURRENT, "charger", NOW, 0.84));
        verify(readings).add(new UUID(0, 8), 31, new Reading("Power meter", Quantity.VOLTAGE, "charger", NOW, 5.11));
    }

    @Test
    void whatNoSuchQuantityCanBeIsNoAnswer() {
        Instrument meter = thatAnswers(query -> "+4.4E+02\n");
        ask(new Instrument(
                "t",
                "Power meter",
                "127.0.0.1",
                meter.port(),
                "DRYING",
                null,
                List.of(new Channel(Quantity.VOLTAGE, "charger", "MEAS:VOLT?"))));
        assertThat(watch.status("t").trouble()).isEqualTo("says 440 V: can't be, another unit?");
    }

    @Test
    void withoutASoakItIsShownButNotKept() {
        Instrument instrument = thatSays("22.4\n");
        when(readings.soakingOn("plate-1")).thenReturn(Optional.empty());
        ask(instrument);
        assertThat(watch.status("t").said()).containsExactly(new Watch.Said(Quantity.TEMPERATURE, "FRAME", 22.4));
        verify(readings, never()).add(any(), eq(12L), any());
    }

    @ParameterizedTest
    @CsvSource({"F, 113.0, 45.0", "K, 318.15, 45.0", "\"CEL\", 45.0, 45.0"})
    void anInstrumentThatCountsInAnotherUnitIsConverted(String unit, String says, double celsius) {
        ask(thatAnswers(query -> (query.equals("UNIT:TEMP?") ? unit : says) + "\n"));
        assertThat(kept()).isCloseTo(celsius, within(0.01));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NaN|probe open or out of range",
                "9.9E37|probe open or out of range",
                "+9.91000000E+37|probe open or out of range",
                "-9.9E37|probe open or out of range",
                "1200|can't be, another unit?",
                "hello|no number",
                "|no number"
            })
    void anAnswerThatIsNoTemperatureIsShownAndNotKept(String says, String trouble) {
        ask(thatSays((says == null ? "" : says) + "\n"));
        assertThat(watch.status("t").trouble()).contains(trouble);
        verify(readings, never()).add(any(), eq(12L), any());
    }

    @Test
    void noAnswerIsGivenUpAndTheNextQuestionDoesNotTakeALateOneForItsOwn() {
        boolean[] late = {true};
        Instrument instrument = thatAnswers(query -> query.equals("UNIT:TEMP?") ? "C\n" : late[0] ? "" : "44.0\n");
        ask(instrument);
        assertThat(watch.status("t").trouble()).isEqualTo("no answer");
        late[0] = false;
        ask(instrument);
        assertThat(kept()).isEqualTo(44);
    }

    @Test
    void halfALineIsNotAReading() {
        ask(thatSays("4"));
        assertThat(watch.status("t").trouble()).isEqualTo("half a line: 4");
        verify(readings, never()).add(any(), eq(12L), any());
    }

    @Test
    void whateverElseAnswersIsShownAsAFewPlainCharacters() {
        ask(thatSays("HTTP/1.1 400 \u001b[2J" + "x".repeat(150) + "\n"));
        assertThat(watch.status("t").trouble())
                .isEqualTo("answers \u201cHTTP/1.1 400 ?[2J" + "x".repeat(62) + "\u2026\u201d: no number");
    }

    @Test
    void whatWasKeptWhenAnyQuestionWasTakenIsNotPutAnyMore() {
        List<String> heard = new ArrayList<>();
        Instrument any = thatAnswers(query -> {
            heard.add(query);
            return "1\n";
        });
        Instrument old = new Instrument(
                "t", "Old", "127.0.0.1", any.port(), "NONE", null, List.of(new Channel(Quantity.VOLTAGE, "x", "*RST")));
        ask(old);
        assertThat(watch.status("t").trouble()).startsWith("*RST is no question for this");
        assertThat(heard).isEmpty();
    }

    @Test
    void whatMayNotBeCalledIsSaidSoAndLeftToANodeThatMay() throws IOException {
        Instrument far = new Instrument("t", "Far", "192.168.7.9", 5025, "NONE", null, FRAME);
        when(instruments.all()).thenReturn(List.of(far));
        when(nets.place("192.168.7.9", 5025)).thenThrow(new ShopNets.NotCalled());
        watch.askAll();
        await().untilAsserted(() -> assertThat(watch.status("t").trouble()).isEqualTo(ShopNets.WORDS));
        verify(leases, never()).hold("t");
    }

    @Test
    void aFloodIsCutOffAndTheLineDropped() {
        ask(thatSays("9".repeat(100_000)));
        assertThat(watch.status("t").trouble()).isEqualTo("sends without end");
    }

    @Test
    void oneThatTalksUnaskedIsNotBelieved() {
        Instrument instrument = thatSays("44.0\n45.0\n46.0\n");
        await().untilAsserted(() -> {
            ask(instrument);
            assertThat(watch.status("t").trouble()).isEqualTo("talks without being asked");
        });
    }

    @Test
    void oneThatHangsUpInTheMiddleKeepsWhatItSaidAndIsCalledAgain() {
        int[] asked = {0};
        Instrument instrument =
                thatAnswers(query -> query.equals("UNIT:TEMP?") ? "C\n" : ++asked[0] == 2 ? null : "50.0\n");
        ask(instrument);
        ask(instrument);
        assertThat(watch.status("t").trouble()).isEqualTo("hung up");
        assertThat(watch.status("t").said()).containsExactly(new Watch.Said(Quantity.TEMPERATURE, "FRAME", 50.0));
        ask(instrument);
        assertThat(watch.status("t").trouble()).isNull();
        verify(readings, atLeast(2)).add(eq(SOAKING.jobId()), eq(12L), any());
    }

    @Test
    void oneThatIsNotThereIsShownAsThat() throws IOException {
        int nobody;
        try (ServerSocket closed = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            nobody = closed.getLocalPort();
        }
        ask(new Instrument("t", "Gone", "127.0.0.1", nobody, "SOAK", "plate-1", FRAME));
        assertThat(watch.status("t").trouble()).isEqualTo("does not answer");
    }

    @Test
    void whatAnotherNodeAsksIsLeftAloneAndShownAsThatNodeWasTold() throws IOException {
        Instrument instrument = thatSays("44.0\n");
        when(instruments.all()).thenReturn(List.of(instrument));
        when(nets.place("127.0.0.1", instrument.port())).thenReturn(placeOf(instrument));
        when(leases.hold("t")).thenReturn(false);
        when(leases.told("t"))
                .thenReturn(Optional.of(
                        new Watch.Status(null, List.of(new Watch.Said(Quantity.TEMPERATURE, "FRAME", 43.0)), NOW)));
        watch.askAll();
        verify(leases, timeout(5000)).hold("t");
        verify(readings, never()).add(any(), eq(12L), any());
        assertThat(watch.status("t").said()).containsExactly(new Watch.Said(Quantity.TEMPERATURE, "FRAME", 43.0));
    }

    @Test
    void theWatchGoesOnWhenTheDatabaseIsAway() throws IOException {
        Instrument instrument = thatSays("44.0\n");
        when(instruments.all()).thenReturn(List.of(instrument));
        when(nets.place("127.0.0.1", instrument.port())).thenReturn(placeOf(instrument));
        when(leases.hold("t")).thenReturn(true);
        when(readings.soakingOn("plate-1"))
                .thenThrow(new IllegalStateException("database away"))
                .thenReturn(Optional.of(SOAKING));
        watch.askAll();
        verify(readings, timeout(5000)).soakingOn("plate-1");
        assertThat(watch.status("t").trouble()).isEqualTo("not asked yet");
        // A round that finds the last one still under way leaves it alone, so one more call may not be enough.
        await().untilAsserted(() -> {
            watch.askAll();
            verify(readings, atLeast(1)).add(eq(SOAKING.jobId()), eq(12L), any());
        });
        await().untilAsserted(() -> assertThat(watch.status("t").trouble()).isNull());
    }
}
