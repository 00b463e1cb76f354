package sparen.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import sparen.format.LoggerFile;
import sparen.output.OutputAtWork;
import sparen.program.Output;
import sparen.result.Event;

/** One output against its recorded contact. */
final class ReplayTally {
    final Output output;
    private final OutputAtWork at;
    private final double[] contact;
    private double openSeconds;
    private double otherwiseSince = Double.NaN;
    private Optional<Replay.Divergence> divergence = Optional.empty();
    private int closings;
    private boolean wasClosed;
    private final LoggerFile log;

    ReplayTally(OutputAtWork at, LoggerFile log) {
        this.at = at;
        this.log = log;
        output = at.output();
        contact = log.contacts().get(output.id());
        wasClosed = at.isClosed();
    }

    void look(int row, double seconds, double usual, List<Event> events) {
        openSeconds += at.isClosed() ? 0 : seconds;
        closings += at.isClosed() && !wasClosed ? 1 : 0;
        wasClosed = at.isClosed();
        if (contact == null || divergence.isPresent() || Double.isNaN(contact[row])) {
            return;
        }
        if (contact[row] >= 0.5 == at.isClosed()) {
            otherwiseSince = Double.NaN;
        } else if (Double.isNaN(otherwiseSince)) {
            otherwiseSince = log.seconds()[row];
        } else if (log.seconds()[row] - otherwiseSince > 2 * usual) {
            divergence = Optional.of(new Replay.Divergence(
                    Instant.ofEpochSecond((long) otherwiseSince), at.isClosed(), lastReason(events)));
        }
    }

    private String lastReason(List<Event> events) {
        for (int i = events.size() - 1; i >= 0; i--) {
            if (events.get(i).subject().equals(output.id())) {
                return events.get(i).reason();
            }
        }
        return "";
    }

    Replay.OutputReplay told(List<String> cannotTell) {
        Optional<Integer> recorded = Optional.ofNullable(contact).map(LoggerFile::closings);
        return new Replay.OutputReplay(output.id(), closings, openSeconds, recorded, divergence, cannotTell);
    }
}
