package ridgefall.app.sheet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDPage;

/** What is drawn on a page of paper. */
public final class PdfLines {
    private PdfLines() {}

    /** Every line drawn: x and y of its ends, mm from the lower left corner. */
    public static List<double[]> of(PDPage page) throws IOException {
        List<double[]> lines = new ArrayList<>();
        List<Double> numbers = new ArrayList<>();
        double[] at = {0, 0};
        for (Object token : new PDFStreamParser(page).parse()) {
            if (token instanceof COSNumber number) {
                numbers.add(mm(number.floatValue()));
            } else if (token instanceof Operator operator) {
                boolean line = operator.getName().equals("l");
                if (line || operator.getName().equals("m")) {
                    double[] to = {numbers.get(0), numbers.get(1)};
                    if (line) {
                        lines.add(new double[] {at[0], at[1], to[0], to[1]});
                    }
                    at = to;
                }
                numbers.clear();
            }
        }
        return lines;
    }

    public static double mm(double points) {
        return points * 25.4 / 72;
    }
}
