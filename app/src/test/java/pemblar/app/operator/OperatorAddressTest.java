package pemblar.app.operator;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.NotFoundException;

@Tag("unit")
class OperatorAddressTest {
    @Test
    void onlyTheAddressOfTheSettingIsLetInAndNobodyWithoutOne() {
        Operator one = new Operator(false, " Me@Pemblar.example ");
        assertDoesNotThrow(() -> one.require("me@pemblar.example"));
        assertThrows(NotFoundException.class, () -> one.require("you@pemblar.example"));
        assertThrows(NotFoundException.class, () -> one.require(null));
        Operator nobody = new Operator(false, "");
        assertThrows(NotFoundException.class, () -> nobody.require(""));
        assertDoesNotThrow(() -> new Operator(true, "").require("anybody@pemblar.example"));
    }
}
