package pemblar.app.program.hook;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.util.Set;

/**
 * Where a call may go: over https to an address of the open net. So nobody makes this server ask its own neighbours;
 * who runs it may allow some by name.
 */
record CallAddress(Set<String> allowed) {
    private static final int LONGEST = 500;

    /** @param allowed hosts with their port, as {@code 127.0.0.1:9000}, that may be called whatever they are */
    CallAddress {
        allowed = Set.copyOf(allowed);
    }

    /** @throws IllegalArgumentException with a sentence when it may not be called */
    URI checked(String url) {
        URI uri = uri(url);
        String host = uri.getHost();
        if (host == null || uri.getUserInfo() != null || uri.getFragment() != null)
            throw new IllegalArgumentException("url: send an address as https://host/path, without a name or a mark.");
        if (allowed.contains(host + ":" + port(uri))) return uri;
        if (!"https".equalsIgnoreCase(uri.getScheme()))
            throw new IllegalArgumentException("url: only addresses that begin with https are called.");
        for (InetAddress address : addresses(host))
            if (!isOpen(address))
                throw new IllegalArgumentException("url: this host is not in the open net, so it is not called.");
        return uri;
    }

    private static URI uri(String url) {
        if (url == null || url.length() > LONGEST)
            throw new IllegalArgumentException("url: send an address of at most " + LONGEST + " characters.");
        try {
            return new URI(url);
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException("url: this is no address.");
        }
    }

    private static int port(URI uri) {
        return uri.getPort() > 0 ? uri.getPort() : "https".equalsIgnoreCase(uri.getScheme()) ? 443 : 80;
    }

    private static InetAddress[] addresses(String host) {
        try {
            return InetAddress.getAllByName(host);
        } catch (UnknownHostException e) {
            throw new IllegalArgumentException("url: this host is not known.");
        }
    }

    static boolean isOpen(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean local = address.isAnyLocalAddress()
                || address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress();
        if (local) return false;
        int first = bytes[0] & 0xff;
        int second = bytes[1] & 0xff;
        if (address instanceof Inet6Address)
            return first >> 1 != 0xfc >> 1 && first != 0 && !(first == 0x20 && second == 2);
        boolean shared = first == 100 && second >> 6 == 1; // 100.64.0.0/10, RFC 6598
        boolean testing = first == 198 && second >> 1 == 9; // 198.18.0.0/15, RFC 2544
        return !shared && !testing && first != 0 && first < 224;
    }
}
