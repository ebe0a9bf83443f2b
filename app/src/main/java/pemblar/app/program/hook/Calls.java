package pemblar.app.program.hook;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import org.apache.commons.codec.digest.HmacAlgorithms;
import org.apache.commons.codec.digest.HmacUtils;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/** Calls back, each signed; one that is not taken is tried again, ever later. */
@Component
public class Calls {
    private static final int AT_ONCE = 20;
    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private final Hooks hooks;
    private final InstantSource clock;
    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(5))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    Calls(Hooks hooks, InstantSource clock) {
        this.hooks = hooks;
        this.clock = clock;
    }

    /** Asked outside of any transaction: a slow address holds nothing. */
    void run() {
        List<Hooks.Call> calls;
        do {
            calls = hooks.take(AT_ONCE);
            for (Hooks.Call call : calls) make(call);
        } while (calls.size() == AT_ONCE);
        hooks.purge();
    }

    private void make(Hooks.Call call) {
        if (call.secret() == null) {
            hooks.answered(call, "could not be signed: the key of its secret is not here; make it anew", false);
            return;
        }
        try {
            URI to = hooks.addresses().checked(call.url());
            int status = http.send(request(call, to), HttpResponse.BodyHandlers.discarding())
                    .statusCode();
            hooks.answered(call, "answered " + status, status >= 200 && status < 300);
        } catch (IllegalArgumentException e) {
            hooks.answered(call, e.getMessage(), true);
        } catch (IOException e) {
            hooks.answered(call, "did not answer", false);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt(); // the node stops: the call is still due
        }
    }

    private HttpRequest request(Hooks.Call call, URI to) {
        String sent = String.valueOf(clock.instant().getEpochSecond());
        return HttpRequest.newBuilder(to)
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .header("User-Agent", "Pemblar")
                .header("Pemblar-Call", String.valueOf(call.id()))
                .header("Pemblar-Event", call.event())
                .header("Pemblar-Sent", sent)
                .header("Pemblar-Signature", signature(call.secret(), sent, call.body()))
                .POST(HttpRequest.BodyPublishers.ofString(call.body()))
                .build();
    }

    /** HMAC-SHA-256 in hexadecimal over the time of sending, a point and the body. */
    static String signature(String secret, String sent, String body) {
        return new HmacUtils(HmacAlgorithms.HMAC_SHA_256, secret.getBytes(StandardCharsets.UTF_8))
                .hmacHex(sent + "." + body);
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> callBack(ObjectProvider<Calls> calls) {
            return Tasks.recurring("call-back", FixedDelay.ofSeconds(5))
                    .execute((instance, context) -> calls.getObject().run());
        }
    }
}
