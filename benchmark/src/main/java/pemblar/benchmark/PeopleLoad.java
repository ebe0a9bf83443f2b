package pemblar.benchmark;

import java.net.URI;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;

/**
 * Many people at once against nodes on loopback that may die under them: they look at pages, put sketches on days and
 * upload recordings. What fails is sent once more when the nodes say that they are ready. Prints what they were told
 * was done, for the tables to be held against; ends with 1 when something failed twice or somebody was signed out.
 */
public final class PeopleLoad {
    private PeopleLoad() {}

    /** Counts over all people. */
    record Told(
            int requests,
            int again,
            int failed,
            int sketches,
            int unseen,
            int uploads,
            int signedOut,
            long slowestMillis) {
        Told plus(Told o) {
            return new Told(
                    requests + o.requests,
                    again + o.again,
                    failed + o.failed,
                    sketches + o.sketches,
                    unseen + o.unseen,
                    uploads + o.uploads,
                    signedOut + o.signedOut,
                    Math.max(slowestMillis, o.slowestMillis));
        }
    }

    /** @param arguments address, people, a file that ends it when it appears */
    public static void main(String[] arguments) throws Exception {
        String address = arguments[0];
        if (!URI.create(address).getHost().equals("127.0.0.1"))
            throw new IllegalArgumentException("only 127.0.0.1 is asked, was " + address);
        int count = Integer.parseInt(arguments[1]);
        Path end = Path.of(arguments[2]);
        String run = "load" + Instant.now().getEpochSecond();
        List<LoadPerson> people = new ArrayList<>();
        for (int i = 0; i < count; i++) people.add(new LoadPerson(address, i).signUp(run + "-" + i));
        System.out.println("begun " + run);
        Told told = together(people, end);
        System.out.println("requests " + told.requests());
        System.out.println("again " + told.again());
        System.out.println("failed " + told.failed());
        System.out.println("signed-out " + told.signedOut());
        System.out.println("slowest-ms " + told.slowestMillis());
        System.out.println("sketches " + told.sketches());
        System.out.println("sketches-not-seen-at-once " + told.unseen());
        System.out.println("uploads " + told.uploads());
        if (told.failed() > 0
                || told.unseen() > 0
                || told.signedOut() > 0
                || told.uploads() == 0
                || told.sketches() == 0) System.exit(1);
    }

    private static Told together(List<LoadPerson> people, Path end) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(people.size());
        List<Future<Told>> all = new ArrayList<>();
        for (LoadPerson person : people) all.add(threads.submit(() -> person.live(end)));
        Told sum = new Told(0, 0, 0, 0, 0, 0, 0, 0);
        for (Future<Told> one : all) sum = sum.plus(one.get());
        threads.shutdown();
        if (!threads.awaitTermination(1, TimeUnit.MINUTES)) throw new IllegalStateException("somebody did not end");
        return sum;
    }
}
