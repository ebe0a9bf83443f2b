package pemblar.benchmark;

import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pemblar.core.effort.MeanMaximal;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Series;
import pemblar.formats.RecordingFiles;

/** What an import costs for six hours at 1 Hz, one thread, warm. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
public class RecordingBenchmark {
    private final byte[] file = SixHours.file();
    private final Series power = RecordingFiles.read(file, Optional.empty())
            .recording()
            .orElseThrow()
            .channel(Channel.POWER)
            .orElseThrow();

    @Benchmark
    public SessionSummary decodeGridAndSummary() {
        return SessionSummary.of(
                RecordingFiles.read(file, Optional.empty()).recording().orElseThrow(), SixHours.VALUES);
    }

    @Benchmark
    public TreeMap<Integer, Double> meanMaximalCurve() {
        return MeanMaximal.curve(power);
    }
}
