package pemblar.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class ShelfTableTest {
    @Test
    void whatPeopleWroteIsNoFormulaAndNumbersStayNumbers() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ShelfTable table = new ShelfTable(out);
        table.add(List.of("{\"id\":1,\"load\":-3.5,\"title\":\"=1+1\",\"parts\":[1,2],\"draft\":false,\"note\":null}"));
        table.add(List.of("{\"id\":2,\"load\":7,\"title\":\"two, \\\"quoted\\\"\\nlines\",\"parts\":{},\"draft\":true,"
                + "\"note\":\"-\"}"));
        assertThat(out.toString(StandardCharsets.UTF_8))
                .isEqualTo("id,load,title,parts,draft,note\r\n1,-3.5,'=1+1,\"[1,2]\",false,\r\n"
                        + "2,7,\"two, \"\"quoted\"\"\nlines\",{},true,'-\r\n");
    }
}
