package sparen.logbook;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.AcSource;
import sparen.site.SensePoint;

/**
 * Something measured or done.
 *
 * @param id made by whoever writes it: sent twice it is kept once
 * @param kind of entry
 * @param at when
 * @param part id of the sense point, output or generator it is about; for kinds that are about one, and for no other
 * @param numbers by the names the kind has
 * @param cells what was measured cell by cell, in the unit the kind has, up to 400; for kinds that are measured so
 * @param note at most 2000 characters; a plain note must say something
 */
public record LogEntry(
        UUID id,
        EntryKind kind,
        Instant at,
        Optional<String> part,
        Map<String, Double> numbers,
        List<Double> cells,
        String note) {
    private static final int LONGEST_NOTE = 2000;
    private static final int MOST_CELLS = 400;

    public LogEntry {
        Bounds.present("id", id);
        Bounds.present("kind", kind);
        Bounds.present("at", at);
        part = Bounds.orEmpty(part);
        numbers = Bounds.ordered(numbers);
        cells = Bounds.orNone(cells);
        note = note == null ? "" : note;
        Bounds.within("note", note.length(), "characters", kind == EntryKind.NOTE ? 1 : 0, LONGEST_NOTE);
        if (part.isPresent() != (kind.about() != EntryKind.About.NOTHING)) {
            throw new InvalidQuantity("part", part.isPresent() ? "belongs to no " + kind.words() : "is missing");
        }
        for (EntryKind.EntryNumber number : kind.numbers()) {
            Double value = numbers.get(number.name());
            if (value != null) {
                Bounds.within("numbers." + number.name(), value, number.unit(), number.least(), number.most());
            } else if (!number.isOptional()) {
                throw new InvalidQuantity("numbers." + number.name(), "is missing");
            }
        }
        List<String> known =
                kind.numbers().stream().map(EntryKind.EntryNumber::name).toList();
        numbers.keySet().forEach(name -> Bounds.known("numbers", name, known));
        checkCells(kind, cells);
    }

    private static void checkCells(EntryKind kind, List<Double> cells) {
        Bounds.within(
                "cells",
                cells.size(),
                "cells",
                kind.cellUnit().isEmpty() ? 0 : 1,
                kind.cellUnit().isEmpty() ? 0 : MOST_CELLS);
        boolean gravity = kind == EntryKind.SPECIFIC_GRAVITY;
        for (Double cell : cells) {
            Bounds.within("cells", cell, kind.cellUnit(), gravity ? 1 : 0, gravity ? 1.4 : 16);
        }
    }

    /** Refuses one whose part the plan does not have. */
    public void mustFit(Plan plan) {
        List<String> known =
                switch (kind.about()) {
                    case NOTHING -> List.of();
                    case SENSE_POINT ->
                        plan.site().sensePoints().stream().map(SensePoint::id).toList();
                    case OUTPUT ->
                        plan.program().outputs().stream().map(Output::id).toList();
                    case GENERATOR ->
                        plan.site().acSources().stream()
                                .filter(AcSource.Generator.class::isInstance)
                                .map(AcSource::id)
                                .toList();
                };
        part.ifPresent(id -> Bounds.known("part", id, known));
    }

    /** One of its numbers. */
    double number(String name) {
        return numbers.get(name);
    }
}
