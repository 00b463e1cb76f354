package sparen.program.rule;

import java.util.List;

/** All kinds of rules. A new one is a record in a file of its own and a line here. */
public final class Rules {
    /** In the order in which they are offered. */
    public static final List<RuleKind> ALL = List.of(
            VoltageDisconnect.KIND,
            SocDisconnect.KIND,
            HardCutOff.KIND,
            ShedStep.KIND,
            InverterEnable.KIND,
            VoltageDiversion.KIND,
            RelativeDiversion.KIND,
            ProportionalDiversion.KIND,
            SurplusBySoc.KIND,
            SurplusByPower.KIND,
            LoadInFloat.KIND,
            ChargeInhibit.KIND,
            ArrayOverVoltage.KIND,
            VentilationByGassing.KIND,
            CoolingByTemperature.KIND,
            DuskToDawn.KIND,
            DuskByArrayVoltage.KIND,
            HoursAfterDusk.KIND,
            SunAndClock.KIND,
            ClockSchedule.KIND,
            GeneratorStart.KIND,
            SourceTransfer.KIND,
            LowBatterySignal.KIND,
            NotChargedSignal.KIND,
            FaultSignal.KIND,
            ChargingFinishedSignal.KIND,
            RemoteRequest.KIND,
            FollowsOutput.KIND,
            FreeRule.KIND);

    private Rules() {}
}
