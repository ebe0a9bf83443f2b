package pemblar.app.operator;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import pemblar.app.frame.NotFoundException;

/** Who runs this Pemblar: the account whose address is the setting; in the demo everybody. */
@Component
public class Operator {
    private final boolean demo;
    private final String address;

    Operator(@Value("${pemblar.demo}") boolean demo, @Value("${pemblar.operator}") String address) {
        this.demo = demo;
        this.address = address.strip();
    }

    /** @throws NotFoundException for all others, who are not told that there is such a page */
    public void require(String who) {
        if (!demo && (address.isEmpty() || !address.equalsIgnoreCase(who))) throw new NotFoundException("page");
    }
}
