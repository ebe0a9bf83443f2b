package pemblar.formats.ask;

import java.util.Map;

/** One question: from its input to its answer. */
interface Topic {
    /** @throws BadInput naming the field that is not understood */
    Map<String, Object> answer(byte[] input);
}
