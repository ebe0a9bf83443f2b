package pemblar.formats.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Block;

class SeasonCsvTest {
    @Test
    void aBlockIsARowThatReadsBack() throws Exception {
        Block block = new Block(
                LocalDate.of(2027, 3, 1), 9, Block.Phase.BUILD, "Camp, \"south\"", "", 640, 39_600, false, true);
        String text = SeasonCsv.write(List.of(new SeasonCsv.Row(block, 600, 10.5, 120.4, 2, "A Heron lake")));
        CSVRecord row = CSVParser.parse(
                        new StringReader(text),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords()
                .get(0);
        assertThat(row.get("name")).isEqualTo("Camp, \"south\"");
        assertThat(row.get("last_day")).isEqualTo("2027-03-09");
        assertThat(row.get("target_hours")).isEqualTo("11.00");
        assertThat(row.get("done_load")).isEqualTo("120");
        assertThat(row.get("pinned")).isEqualTo("true");
    }

    @Test
    void aNameIsNeverAFormula() {
        Block block = new Block(LocalDate.of(2027, 3, 1), 9, Block.Phase.BUILD, "=1+1", "", 0, 0);
        assertThat(SeasonCsv.write(List.of(new SeasonCsv.Row(block, 0, 0, 0, 0, ""))))
                .contains("'=1+1");
    }
}
