package ridgefall.app.test;

import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.springframework.http.ResponseEntity;
import ridgefall.app.csv.CsvFile;
import ridgefall.app.csv.CsvFile.Mistake;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.units.NotAllowed;

/** One task's trace as CSV, as docs/formats/touch-trace.md has it: out, and in from another program or a rig. */
final class TouchTraceFile {
    static final List<String> COLUMNS = List.of("t_ms", "x", "y", "contact_id");
    private static final int MOST = 20_000;

    private TouchTraceFile() {}

    static ResponseEntity<String> answer(String name, List<Sample> samples) {
        return CsvFile.answer(name, COLUMNS, samples, s -> List.of(s.ms(), s.xPx(), s.yPx(), s.contact()));
    }

    /**
     * Of nothing touched, as it should be with the hands off, there is the head alone.
     *
     * @throws NotAllowed naming line, field, value and what is allowed
     */
    static List<double[]> read(String text) {
        if (text.strip().equals(String.join(",", COLUMNS))) {
            return List.of();
        }
        CsvFile<double[]> file = CsvFile.read(text, COLUMNS, MOST, (line, row) -> {
            double[] one = new double[COLUMNS.size()];
            for (int i = 0; i < one.length; i++) {
                one[i] = number(row, COLUMNS.get(i));
            }
            new Sample(one[0], one[1], one[2], (int) one[3]);
            return one;
        });
        if (!file.mistakes().isEmpty()) {
            Mistake first = file.mistakes().get(0);
            throw new NotAllowed("line " + first.line() + ", " + first.field(), first.value(), first.allowed());
        }
        return file.lines();
    }

    private static double number(CSVRecord row, String column) {
        try {
            return Double.parseDouble(row.get(column));
        } catch (NumberFormatException e) {
            throw new NotAllowed(column, row.get(column), "a number, with a point");
        }
    }
}
