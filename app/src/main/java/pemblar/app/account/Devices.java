package pemblar.app.account;

import org.springframework.stereotype.Component;
import ua_parser.Client;
import ua_parser.Parser;

/** What a browser says of itself, in words that its owner knows it by. */
@Component
class Devices {
    private static final String NOT_KNOWN = "Other";

    /** Read with its thousand patterns only when somebody asks. */
    private static final class Read {
        static final Parser PARSER = new Parser();
    }

    /** @param agent as it came, of bounded length; null when none did */
    String words(String agent) {
        if (agent == null) return "not known";
        Client client = Read.PARSER.parse(agent);
        String browser = NOT_KNOWN.equals(client.userAgent.family) ? "Some browser" : client.userAgent.family;
        return NOT_KNOWN.equals(client.os.family) ? browser : browser + " on " + client.os.family;
    }
}
