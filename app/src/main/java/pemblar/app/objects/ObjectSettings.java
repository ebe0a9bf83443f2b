package pemblar.app.objects;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * A store that speaks the common HTTP interface for objects in buckets.
 *
 * @param url of the service; empty for none
 * @param bucket must be there already
 */
@ConfigurationProperties("pemblar.objects")
record ObjectSettings(String url, String region, String bucket, String key, String secret) {
    boolean isSet() {
        return url != null && !url.isBlank();
    }

    @Override
    public String toString() {
        return url + ", " + bucket + "; the key is not shown";
    }
}
