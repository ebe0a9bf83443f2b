package pemblar.app.objects;

import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Supplier;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.core.ResponseBytes;
import software.amazon.awssdk.core.checksums.RequestChecksumCalculation;
import software.amazon.awssdk.core.checksums.ResponseChecksumValidation;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.GetObjectResponse;
import software.amazon.awssdk.services.s3.model.NoSuchKeyException;

/** Objects in a bucket of a service. Checksums of transport are left out: whoever reads knows the hash. */
class BucketObjects implements ObjectStore {
    private static final Duration CONNECT = Duration.ofSeconds(2);
    private static final Duration ANSWER = Duration.ofSeconds(5);
    private static final Duration WHOLE = Duration.ofSeconds(10);
    private final S3Client client;
    private final String bucket;

    BucketObjects(ObjectSettings settings) {
        this.bucket = settings.bucket();
        this.client = S3Client.builder()
                .endpointOverride(URI.create(settings.url()))
                .region(Region.of(settings.region()))
                .credentialsProvider(
                        StaticCredentialsProvider.create(AwsBasicCredentials.create(settings.key(), settings.secret())))
                .forcePathStyle(true)
                .requestChecksumCalculation(RequestChecksumCalculation.WHEN_REQUIRED)
                .responseChecksumValidation(ResponseChecksumValidation.WHEN_REQUIRED)
                .httpClient(UrlConnectionHttpClient.builder()
                        .connectionTimeout(CONNECT)
                        .socketTimeout(ANSWER)
                        .build())
                .overrideConfiguration(o -> o.apiCallTimeout(WHOLE))
                .build();
    }

    private static <T> T tried(Supplier<T> work) {
        try {
            return work.get();
        } catch (NoSuchKeyException e) {
            return null;
        } catch (SdkException | UncheckedIOException e) {
            throw new StoreAway("The store of recordings did not answer as it should", e);
        }
    }

    @Override
    public boolean isThere() {
        return true;
    }

    @Override
    public void put(String key, byte[] content) {
        tried(() -> client.putObject(r -> r.bucket(bucket).key(key), RequestBody.fromBytes(content)));
    }

    @Override
    public Optional<byte[]> get(String key) {
        return Optional.ofNullable(
                tried(() -> whole(client.getObjectAsBytes(r -> r.bucket(bucket).key(key)))));
    }

    /**
     * A connection that ends early is no failure to the client: half an object would look like one that was changed.
     */
    private static byte[] whole(ResponseBytes<GetObjectResponse> answer) {
        byte[] content = answer.asByteArray();
        Long length = answer.response().contentLength();
        if (length != null && length != content.length)
            throw new StoreAway("The store of recordings sent " + content.length + " of " + length + " bytes");
        return content;
    }

    @Override
    public void delete(String key) {
        tried(() -> client.deleteObject(r -> r.bucket(bucket).key(key)));
    }
}
