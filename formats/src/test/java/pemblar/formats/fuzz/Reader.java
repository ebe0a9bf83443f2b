package pemblar.formats.fuzz;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Optional;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.workout.Shorthand;
import pemblar.formats.RecordingFiles;
import pemblar.formats.ask.Asking;
import pemblar.formats.csv.ProfileBandsCsv;
import pemblar.formats.csv.StrengthSetsCsv;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitWorkouts;
import pemblar.formats.fit.FitZones;
import pemblar.formats.json.StrengthJson;
import pemblar.formats.json.WorkoutJson;
import pemblar.formats.json.ZoneSchemeJson;

/** Everything that reads what others wrote. Whatever comes, each answers, or throws the one exception that it names. */
enum Reader {
    FIT {
        @Override
        void read(byte[] bytes) {
            RecordingFiles.read(bytes, Optional.empty());
        }
    },
    GPX {
        @Override
        void read(byte[] bytes) {
            RecordingFiles.read(bytes, Optional.of(Sport.RUN));
        }
    },
    FIT_WORKOUT {
        @Override
        void read(byte[] bytes) {
            FitWorkout.Answer answer = FitWorkout.read(bytes);
            if (answer.workout() != null) refusing(() -> FitWorkouts.design(answer.workout()));
        }
    },
    FIT_ZONES {
        @Override
        void read(byte[] bytes) {
            FitZones.read(bytes);
        }
    },
    WORKOUT_JSON {
        @Override
        void read(byte[] bytes) {
            refusing(() -> WorkoutJson.read(text(bytes)));
        }
    },
    STRENGTH_JSON {
        @Override
        void read(byte[] bytes) {
            refusing(() -> StrengthJson.read(text(bytes)));
        }
    },
    ZONE_SCHEME_JSON {
        @Override
        void read(byte[] bytes) {
            refusing(() -> ZoneSchemeJson.read(text(bytes)));
            ZoneSchemeJson.readAll("{\"version\":1,\"schemes\":[" + text(bytes) + "]}");
        }
    },
    SETS_CSV {
        @Override
        void read(byte[] bytes) {
            StrengthSetsCsv.read(text(bytes), LocalDate.of(2026, 12, 31));
        }
    },
    BANDS_CSV {
        @Override
        void read(byte[] bytes) {
            ProfileBandsCsv.read(text(bytes));
        }
    },
    SHORTHAND {
        @Override
        void read(byte[] bytes) {
            for (Sport sport : Sport.values()) Shorthand.read(text(bytes), sport);
        }
    },
    STRENGTH_SHORTHAND {
        @Override
        void read(byte[] bytes) {
            StrengthShorthand.read(text(bytes));
        }
    },
    ASK {
        @Override
        void read(byte[] bytes) {
            String text = text(bytes);
            int line = text.indexOf('\n');
            if (line < 0) return;
            ByteArrayOutputStream said = new ByteArrayOutputStream();
            PrintStream err = new PrintStream(said, true, StandardCharsets.UTF_8);
            int code = Asking.run(
                    text.substring(0, line),
                    new ByteArrayInputStream(text.substring(line + 1).getBytes(StandardCharsets.UTF_8)),
                    new PrintStream(new ByteArrayOutputStream(), true, StandardCharsets.UTF_8),
                    err);
            if (code != 0 && code != 2)
                throw new IllegalStateException("ended with " + code + ": " + said.toString(StandardCharsets.UTF_8));
        }
    };

    /** @throws RuntimeException when it is not right: nobody else's mistake may become one of ours */
    abstract void read(byte[] bytes);

    /** The folder of its corpus. */
    String folder() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    private static String text(byte[] bytes) {
        return new String(bytes, StandardCharsets.UTF_8);
    }

    /** Refusing by an IllegalArgumentException of its own is an answer; one from below it is not told apart. */
    private static void refusing(Runnable reading) {
        try {
            reading.run();
        } catch (IllegalArgumentException e) {
            if (e.getMessage() == null) throw new IllegalStateException("refused without a reason", e);
        }
    }
}
