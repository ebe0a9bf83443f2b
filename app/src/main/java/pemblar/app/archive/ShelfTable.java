package pemblar.app.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import pemblar.formats.csv.SheetText;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Rows of a shelf as a table that a spreadsheet opens: a line of names, then a line for each row (RFC 4180, UTF-8). */
final class ShelfTable {
    private final CSVPrinter csv;
    private List<String> names;

    /** @param out stays open */
    ShelfTable(OutputStream out) throws IOException {
        csv = new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
    }

    /** @param rows JSON objects, all with the same names in the same order */
    void add(List<String> rows) throws IOException {
        for (String row : rows) {
            JsonNode values = JsonMapper.shared().readTree(row);
            if (names == null) {
                names = new ArrayList<>(values.propertyNames());
                csv.printRecord(names);
            }
            List<String> cells = new ArrayList<>();
            for (String name : names) cells.add(cell(values.get(name)));
            csv.printRecord(cells);
        }
        csv.flush();
    }

    /** What is not there is empty; what has parts stays JSON. */
    private static String cell(JsonNode value) {
        if (value == null || value.isNull()) return "";
        if (!value.isString()) return value.toString();
        return SheetText.harmless(value.stringValue());
    }
}
