package sparen.gauge;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.examined.Tolerance;
import sparen.gauge.Gauge.Acts;
import sparen.gauge.Gauge.Peg;
import sparen.gauge.Gauge.Whose;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.FeedLevels;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.Compensation;
import sparen.program.ChargeProgram;
import sparen.program.Plan;
import sparen.site.Bms;
import sparen.site.DcSource;
import sparen.site.Inverter;
import sparen.site.ParallelBattery;

/** The levels by which chargers, inverter, AC program, batteries and brakes go themselves, whatever the outputs do. */
final class DevicePegs {
    private static final String AT_ITS_TERMINALS = "its terminals";
    /** It follows absorption: a voltage that passes it makes nothing happen. */
    private static final String FLOAT = "floatVolts";

    private static final double PERCENT = 100;

    private final Plan plan;
    private final List<Peg> pegs = new ArrayList<>();

    private DevicePegs(Plan plan) {
        this.plan = plan;
    }

    static List<Peg> of(Plan plan) {
        DevicePegs all = new DevicePegs(plan);
        plan.program().charging().forEach(all::add);
        plan.site().inverter().ifPresent(inverter -> {
            all.add(inverter);
            plan.program().ac().ifPresent(program -> all.add(inverter, program));
        });
        Map<Bms, List<ParallelBattery>> alike = new LinkedHashMap<>();
        plan.site().battery().batteries().forEach(one -> one.bms()
                .ifPresent(bms ->
                        alike.computeIfAbsent(bms, none -> new ArrayList<>()).add(one)));
        alike.forEach(all::add);
        plan.site().dcSources().forEach(all::add);
        return all.pegs;
    }

    /** Levels of one device, each said once. */
    private final class Of {
        private final String id;
        private final String name;
        private final Whose whose;
        private final String place;
        private final List<String> alike;

        Of(String id, String name, Whose whose, String place) {
            this(id, name, whose, place, List.of());
        }

        /** @param alike where the same levels of parts that are alike stand */
        Of(String id, String name, Whose whose, String place, List<String> alike) {
            this.alike = alike;
            this.id = id;
            this.name = name;
            this.whose = whose;
            this.place = place;
        }

        void volts(String field, String pair, String term, double volts, Acts acts, boolean switches) {
            volts(field, pair, term, volts, acts, switches, Optional.empty());
        }

        void volts(
                String field,
                String pair,
                String term,
                double volts,
                Acts acts,
                boolean switches,
                Optional<Compensation> moves) {
            int cells = plan.site().battery().cellsInSeries();
            pegs.add(new Peg(
                    place + field,
                    id,
                    name,
                    whose,
                    pair,
                    term,
                    Gauge.VOLTS,
                    volts,
                    1,
                    acts,
                    !field.equals(FLOAT) && (switches || acts != Acts.HELD),
                    switches,
                    Gauge.DEVIATIONS * Tolerance.METER * volts,
                    0,
                    Optional.of(AT_ITS_TERMINALS),
                    moves.map(one -> one.voltsPerKelvinPerCell() * cells).orElse(0.0),
                    moves.map(Compensation::ceilingVolts),
                    moves.map(Compensation::floorVolts),
                    alike.stream().map(one -> one + field).toList()));
        }

        void celsius(String field, String term, double celsius) {
            add(field, id, term, Gauge.CELSIUS, celsius, 1, Acts.HELD, false, true);
        }

        void charge(String field, String pair, String term, double stateOfCharge, Acts acts) {
            charge(field, pair, term, stateOfCharge, acts, true);
        }

        void charge(String field, String pair, String term, double stateOfCharge, Acts acts, boolean switches) {
            add(field, pair, term, Gauge.PERCENT, PERCENT * stateOfCharge, PERCENT, acts, true, switches);
        }

        /** What is no voltage: nobody reads it at a point, and no temperature moves it. */
        private void add(
                String field,
                String pair,
                String term,
                String unit,
                double value,
                double shownTimes,
                Acts acts,
                boolean actsWhenPassed,
                boolean switches) {
            pegs.add(new Peg(
                    place + field,
                    id,
                    name,
                    whose,
                    pair,
                    term,
                    unit,
                    value,
                    shownTimes,
                    acts,
                    actsWhenPassed,
                    switches,
                    0,
                    0,
                    Optional.empty(),
                    0,
                    Optional.empty(),
                    Optional.empty(),
                    alike.stream().map(one -> one + field).toList()));
        }
    }

    private void add(ChargeProgram charging) {
        String id = charging.controller();
        ChargeDetails details = charging.details().orElse(ChargeDetails.NONE);
        Optional<Compensation> moves = details.compensation();
        Optional<Compensation> rechargeMoves = moves.filter(Compensation::compensatesRecharge);
        Of of = new Of(id, plan.site().chargerName(id), Whose.CHARGER, "program/charging/" + id + "/");
        of.volts("absorptionVolts", id, "absorption", charging.absorptionVolts(), Acts.HELD, true, moves);
        if (details.resumeVolts().isPresent()) {
            double resume = details.resumeVolts().get();
            of.volts("details/resumeVolts", id, "resume", resume, Acts.FALLING, true, rechargeMoves);
        } else {
            of.volts(FLOAT, id, "float", charging.floatVolts(), Acts.HELD, true, moves);
            of.volts("rechargeVolts", id, "recharge", charging.rechargeVolts(), Acts.FALLING, true, rechargeMoves);
        }
        details.equalization()
                .ifPresent(one -> of.volts(
                        "details/equalization/volts", id, "equalization", one.volts(), Acts.HELD, true, moves));
        details.overVoltage().ifPresent(over -> {
            String at = "details/overVoltage/";
            of.volts(at + "stopVolts", id + "/over", "over-voltage stop", over.stopVolts(), Acts.RISING, true);
            of.volts(
                    at + "releaseVolts", id + "/over", "over-voltage release", over.releaseVolts(), Acts.FALLING, true);
        });
        moves.ifPresent(bounded -> {
            String at = "details/compensation/";
            of.volts(at + "ceilingVolts", id, "ceiling", bounded.ceilingVolts(), Acts.HELD, false);
            of.volts(at + "floorVolts", id, "floor", bounded.floorVolts(), Acts.HELD, false);
        });
    }

    private void add(Inverter inverter) {
        Inverter.DcWindow window = inverter.window();
        String id = inverter.id();
        Of of = new Of(id, inverter.name(), Whose.INVERTER, "site/inverter/window/");
        of.volts("lowAlarmVolts", id, "low alarm", window.lowAlarmVolts(), Acts.FALLING, false);
        of.volts("lowShutdownVolts", id + "/low", "cut-off", window.lowShutdownVolts(), Acts.FALLING, true);
        of.volts("lowRestartVolts", id + "/low", "restart", window.lowRestartVolts(), Acts.RISING, true);
        of.volts("highShutdownVolts", id, "high cut-off", window.highShutdownVolts(), Acts.RISING, true);
    }

    private void add(Inverter inverter, AcProgram program) {
        Of of = new Of(inverter.id(), inverter.name(), Whose.INVERTER, "program/ac/");
        if (program.goesByBattery()) {
            String pair = inverter.id() + "/feeds";
            if (program.byStateOfCharge().isPresent()) {
                FeedLevels levels = program.byStateOfCharge().get();
                String at = "byStateOfCharge/";
                of.charge(at + "toAcStateOfCharge", pair, "to AC", levels.toAcStateOfCharge(), Acts.FALLING);
                of.charge(at + "toBatteryStateOfCharge", pair, "back", levels.toBatteryStateOfCharge(), Acts.RISING);
            } else {
                of.volts("toAcVolts", pair, "to AC", program.toAcVolts(), Acts.FALLING, true, Optional.empty());
                of.volts("toBatteryVolts", pair, "back", program.toBatteryVolts(), Acts.RISING, true, Optional.empty());
            }
        }
        program.cutOff().ifPresent(levels -> {
            String pair = inverter.id() + "/charge";
            of.charge(
                    "cutOff/alarmStateOfCharge",
                    inverter.id(),
                    "low alarm",
                    levels.alarmStateOfCharge(),
                    Acts.FALLING,
                    false);
            of.charge("cutOff/cutOffStateOfCharge", pair, "cut-off", levels.cutOffStateOfCharge(), Acts.FALLING);
            of.charge("cutOff/restartStateOfCharge", pair, "restart", levels.restartStateOfCharge(), Acts.RISING);
        });
        program.endOfCharge().ifPresent(levels -> {
            String pair = inverter.id() + "/end";
            String at = "endOfCharge/";
            of.charge(at + "endStateOfCharge", pair, "end of charge", levels.endStateOfCharge(), Acts.RISING);
            of.charge(at + "againStateOfCharge", pair, "charge again", levels.againStateOfCharge(), Acts.FALLING);
        });
        for (int i = 0; i < program.windows().size(); i++) {
            AcWindow window = program.windows().get(i);
            String field = "windows/" + i + "/stateOfCharge";
            switch (window.kind()) {
                case CHARGE -> of.charge(field, field, "charges up to", window.stateOfCharge(), Acts.RISING);
                case DISCHARGE -> of.charge(field, field, "discharge floor", window.stateOfCharge(), Acts.FALLING);
                case HOLD -> {}
            }
        }
    }

    /** Batteries that are guarded alike have their levels once. */
    private void add(Bms bms, List<ParallelBattery> batteries) {
        String id = batteries.get(0).id();
        String name = batteries.stream().map(ParallelBattery::name).collect(Collectors.joining(", "));
        List<String> places = batteries.stream()
                .map(one -> "site/battery/batteries/" + one.id() + "/bms/")
                .toList();
        Of of = new Of(id, "BMS of " + name, Whose.BATTERY, places.get(0), places.subList(1, places.size()));
        of.volts("lowVolts", id + "/low", "stops discharge", bms.lowVolts(), Acts.FALLING, true);
        of.volts("lowReleaseVolts", id + "/low", "discharges again", bms.lowReleaseVolts(), Acts.RISING, true);
        of.volts("highVolts", id + "/high", "stops charge", bms.highVolts(), Acts.RISING, true);
        of.volts("highReleaseVolts", id + "/high", "charges again", bms.highReleaseVolts(), Acts.FALLING, true);
        of.celsius("chargeColdCelsius", "charges from", bms.chargeColdCelsius());
        of.celsius("chargeHotCelsius", "charges up to", bms.chargeHotCelsius());
        of.celsius("dischargeColdCelsius", "discharges from", bms.dischargeColdCelsius());
        of.celsius("dischargeHotCelsius", "discharges up to", bms.dischargeHotCelsius());
    }

    private void add(DcSource source) {
        Of of = new Of(source.id(), source.name(), Whose.SOURCE, "site/dcSources/" + source.id() + "/");
        of.volts("brakeVolts", source.id(), "brake", source.brakeVolts(), Acts.RISING, true);
        of.volts("releaseVolts", source.id(), "let go", source.releaseVolts(), Acts.FALLING, true);
    }
}
