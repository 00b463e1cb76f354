package sparen.check;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import sparen.device.DeviceLink;
import sparen.device.FittedDevice;
import sparen.device.Knob;
import sparen.device.LinkPart;
import sparen.device.NotedKnob;
import sparen.examined.PlanFacts;

/** A data line whose two ends do not speak the same protocol at the same speed, are not both terminated, or share an address. */
final class LinkEndsDiffer implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().links().stream().flatMap(link -> look(plan, link));
    }

    private Stream<Finding> look(PlanFacts plan, DeviceLink link) {
        FittedDevice one = device(plan, link.ends().get(0));
        FittedDevice other = device(plan, link.ends().get(1));
        Map<LinkPart.Part, NotedKnob> here = parts(one, link.ends().get(0));
        Map<LinkPart.Part, NotedKnob> there = parts(other, link.ends().get(1));
        return here.keySet().stream()
                .filter(there::containsKey)
                .filter(part -> differs(part, one.entered(here.get(part)), other.entered(there.get(part))))
                .map(part -> found(link, part, one, here.get(part), other, there.get(part)));
    }

    private static boolean differs(LinkPart.Part part, String here, String there) {
        return here.equals(there) == (part == LinkPart.Part.ADDRESS);
    }

    private static FittedDevice device(PlanFacts plan, DeviceLink.End end) {
        return plan.program().devices().stream()
                .filter(device -> device.id().equals(end.fitted()))
                .findFirst()
                .orElseThrow();
    }

    private static Map<LinkPart.Part, NotedKnob> parts(FittedDevice device, DeviceLink.End end) {
        Map<LinkPart.Part, NotedKnob> parts = new TreeMap<>();
        for (Knob knob : device.profile().knobs()) {
            if (knob instanceof NotedKnob noted) {
                noted.link().filter(of -> of.port().equals(end.port())).ifPresent(of -> parts.put(of.part(), noted));
            }
        }
        return parts;
    }

    private Finding found(
            DeviceLink link,
            LinkPart.Part part,
            FittedDevice one,
            NotedKnob here,
            FittedDevice other,
            NotedKnob there) {
        String ends = one.name() + " has " + said(one, here) + ", " + other.name() + " " + said(other, there);
        String says =
                switch (part) {
                    case PROTOCOL -> "the two ends speak different protocols: ";
                    case SPEED -> "the two ends differ in speed: ";
                    case ADDRESS -> "both ends have the same address: ";
                    case TERMINATOR -> "only one end is terminated: ";
                };
        return finding(Hazard.LOSS_OF_CONTROL, Severity.CAUTION, one.id(), link.name() + ": " + says + ends + ".")
                .about("program/devices/" + one.id() + "/noted/" + here.id() + "/value");
    }

    private static String said(FittedDevice device, NotedKnob knob) {
        return (device.entered(knob) + " " + knob.unit()).strip();
    }
}
