package pemblar.formats.gpx;

import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * A first pass over a GPX text: refuses what is hostile, counts its points, and finds where a damaged one still holds.
 */
final class GpxScan {
    private static final int MAX_POINTS = 400_000;
    private static final int MAX_DEPTH = 40;
    private static final Pattern ENCODING = Pattern.compile("<\\?xml[^>]*encoding=[\"']([A-Za-z0-9._-]+)[\"']");
    private static final String POINT_END = "</trkpt>";

    final String text;
    int points;
    private int ended;
    private int depth;
    /** Empty when the text is well formed. */
    String damage = "";

    int damagedLine;
    /** Why the text cannot be used at all; empty when it can. */
    String refusal = "";

    GpxScan(byte[] bytes) {
        this.text = decoded(bytes);
        scan();
    }

    private static String decoded(byte[] bytes) {
        if (bytes.length > 1 && (bytes[0] & 0xFF) + (bytes[1] & 0xFF) == 0x1FD)
            return new String(bytes, StandardCharsets.UTF_16);
        String head = new String(bytes, 0, Math.min(200, bytes.length), StandardCharsets.ISO_8859_1);
        Matcher matcher = ENCODING.matcher(head);
        Charset charset = StandardCharsets.UTF_8;
        try {
            if (matcher.find()) charset = Charset.forName(matcher.group(1));
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            charset = StandardCharsets.UTF_8;
        }
        return new String(bytes, charset).replaceFirst("^[\\s\\x{FEFF}]+", "");
    }

    private void scan() {
        try {
            XMLStreamReader xml = new SafeXml().xmlInputFactory().createXMLStreamReader(new StringReader(text));
            while (xml.hasNext() && refusal.isEmpty()) event(xml, xml.next());
        } catch (XMLStreamException e) {
            damage = "the XML breaks off or is not well formed";
            damagedLine = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
        }
    }

    private void event(XMLStreamReader xml, int event) {
        if (event == XMLStreamConstants.DTD) refusal = "document types are not accepted: export the file without one";
        if (event == XMLStreamConstants.START_ELEMENT) {
            if (++depth == 1 && !xml.getLocalName().equals("gpx"))
                refusal = "the root element is '" + xml.getLocalName() + "', expected 'gpx'";
            if (depth > MAX_DEPTH) refusal = "elements are nested deeper than " + MAX_DEPTH;
            if (xml.getLocalName().equals("trkpt") && ++points > MAX_POINTS)
                refusal = "there are more than " + MAX_POINTS + " points";
        }
        if (event == XMLStreamConstants.END_ELEMENT) {
            depth--;
            if (xml.getLocalName().equals("trkpt")) ended++;
        }
    }

    /** The text up to its last whole point, closed again; null when there is no such point. */
    String upToDamage() {
        int at = -1;
        for (int i = 0; i < ended; i++) {
            int next = text.indexOf(POINT_END, at < 0 ? 0 : at);
            if (next < 0) return null;
            at = next + POINT_END.length();
        }
        points = ended;
        return at < 0 ? null : text.substring(0, at) + "</trkseg></trk></gpx>";
    }
}
