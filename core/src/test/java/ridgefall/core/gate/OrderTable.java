package ridgefall.core.gate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;

/** The whole order of every shipped device, each step with why it stands where it stands, to be read by somebody who does this daily. */
public final class OrderTable {
    private OrderTable() {}

    /** @param args the file to write */
    public static void main(String[] args) throws IOException {
        Files.writeString(
                Path.of(args[0]),
                Stream.concat(Stream.of("""
                # Orders

                Made by `./ridgefall bench`: what comes next on every shipped device with cracked glass, each step answered well. Why: what it
                needs before, and where it comes while another station is at work, what for. What says nothing goes as it is listed.
                """), EveryDeviceTest.devices().map(OrderTable::table))
                        .collect(Collectors.joining("\n")));
    }

    private static String table(DeviceProfile device) {
        StringBuilder table =
                new StringBuilder("## " + device.name() + (device.variantId() == null ? "" : ", " + device.variantId())
                        + "\n\n| | station | step | why |\n|---|---|---|---|\n");
        Journey journey = new Journey(device);
        String before = "";
        for (int number = 1; journey.next().isPresent(); journey.tapNext()) {
            Order.Turn turn = journey.course().order().turns().get(0);
            Step step = turn.step();
            // Stretch by stretch is the planner's, and one row.
            String title = step.title().replaceAll("\\{\\w+:([^}]*)}", "$1");
            String row = step.station().words() + " | "
                    + (step.id().startsWith("separate.")
                                    && step.hint() != null
                                    && step.hint().startsWith("no deeper")
                            ? "Cut, stretch by stretch"
                            : title);
            if (!row.equals(before)) {
                table.append("| %d | %s | %s |\n".formatted(number, row, why(turn)));
                number++;
            }
            before = row;
        }
        return table.toString();
    }

    private static String why(Order.Turn turn) {
        List<String> needs = turn.step().ties().needs().stream()
                .map(need -> need.kind().words())
                .distinct()
                .sorted()
                .toList();
        return Stream.concat(
                        Stream.ofNullable(turn.why()),
                        needs.isEmpty() ? Stream.of() : Stream.of("once " + String.join(", ", needs)))
                .collect(Collectors.joining("; "));
    }
}
