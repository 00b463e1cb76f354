package sparen.standin;

import com.digitalpetri.modbus.ExceptionCode;
import com.digitalpetri.modbus.FunctionCode;
import com.digitalpetri.modbus.exceptions.ModbusResponseException;
import com.digitalpetri.modbus.exceptions.UnknownUnitIdException;
import com.digitalpetri.modbus.pdu.ReadHoldingRegistersRequest;
import com.digitalpetri.modbus.pdu.ReadHoldingRegistersResponse;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersRequest;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersResponse;
import com.digitalpetri.modbus.pdu.WriteSingleRegisterRequest;
import com.digitalpetri.modbus.pdu.WriteSingleRegisterResponse;
import com.digitalpetri.modbus.server.ModbusRequestContext;
import com.digitalpetri.modbus.server.ModbusServices;
import com.digitalpetri.modbus.server.ModbusTcpServer;
import com.digitalpetri.modbus.tcp.server.NettyTcpServerTransport;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import sparen.device.FittedDevice;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.setting.DeviceSettings;

/** The devices of a site on one wire: unit 1 is the first of its plan that has a wire, unit 2 the second. */
public final class Site implements AutoCloseable {
    private static final int SLOW_MILLISECONDS = 400;

    private final Plan plan;
    private final List<Device> devices = new ArrayList<>();
    private final SiteModel model;
    private final Cutter cutter = new Cutter();
    private final ModbusTcpServer server;

    /**
     * Switches a site on.
     *
     * @param plan site, program and devices; what it wants stands in them at first
     * @param folder where they keep their memory
     * @param port the site answers at, on loopback
     * @param times how much faster its time goes, 1 to 3600
     */
    public Site(Plan plan, Path folder, int port, double times, Clock clock) throws IOException {
        this.plan = plan;
        for (FittedDevice fitted : plan.program().devices()) {
            if (fitted.profile().wire().isPresent()) {
                devices.add(new Device(plan, fitted, folder, clock));
            }
        }
        model = new SiteModel(stored().orElse(plan), clock, times);
        server = ModbusTcpServer.create(
                NettyTcpServerTransport.create(config -> {
                    config.bindAddress = "127.0.0.1";
                    config.port = port;
                    config.pipelineCustomizer = pipeline -> pipeline.addFirst(cutter.handler());
                }),
                new Services());
        try {
            server.start();
        } catch (ExecutionException failed) {
            throw new IOException("port " + port + ": " + failed.getCause().getMessage(), failed);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw new IOException("it was stopped while starting", ended);
        }
    }

    /** The plan as its devices have stored it; empty where they hold what no plan can. */
    private Optional<Plan> stored() {
        Plan stored = plan;
        try {
            for (Device device : devices) {
                stored = DeviceSettings.asRead(stored, device.fitted(), device.stored());
            }
            return Optional.of(stored);
        } catch (InvalidQuantity impossible) {
            System.out.println("the site goes on as it was: " + impossible.getMessage());
            return Optional.empty();
        }
    }

    List<Device> devices() {
        return devices;
    }

    SiteModel model() {
        return model;
    }

    /** Turns a fault of a device on, or off again. */
    public void turn(int unit, Fault fault) {
        Set<Fault> faults = devices.get(unit - 1).faults();
        if (!faults.remove(fault)) {
            faults.add(fault);
        }
    }

    /** What somebody standing before a device sees on its display, by the places of entries. */
    public Map<String, String> display(int unit) {
        return devices.get(unit - 1).display();
    }

    /** What a meter at the battery's terminals shows (V). */
    public double meterVolts() {
        return model.now().batteryVolts();
    }

    /** Cuts its connection. */
    public Cutter cutter() {
        return cutter;
    }

    @Override
    public void close() throws IOException {
        try (model) {
            server.stop();
        } catch (ExecutionException failed) {
            throw new IOException(failed.getCause());
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    /** What is asked over the wire. */
    private final class Services implements ModbusServices {
        private Device device(int unit) throws UnknownUnitIdException {
            if (unit < 1 || unit > devices.size()) {
                throw new UnknownUnitIdException(unit);
            }
            Device device = devices.get(unit - 1);
            if (device.faults().contains(Fault.SLOW)) {
                try {
                    Thread.sleep(SLOW_MILLISECONDS);
                } catch (InterruptedException ended) {
                    Thread.currentThread().interrupt();
                }
            }
            return device;
        }

        @Override
        public ReadHoldingRegistersResponse readHoldingRegisters(
                ModbusRequestContext context, int unit, ReadHoldingRegistersRequest request)
                throws ModbusResponseException, UnknownUnitIdException {
            try {
                int[] words = device(unit).read(request.address(), request.quantity(), model.now());
                ByteBuffer bytes = ByteBuffer.allocate(words.length * Short.BYTES);
                for (int word : words) {
                    bytes.putShort((short) word);
                }
                return new ReadHoldingRegistersResponse(bytes.array());
            } catch (Refused refused) {
                throw new ModbusResponseException(FunctionCode.READ_HOLDING_REGISTERS, refused.code());
            }
        }

        @Override
        public WriteMultipleRegistersResponse writeMultipleRegisters(
                ModbusRequestContext context, int unit, WriteMultipleRegistersRequest request)
                throws ModbusResponseException, UnknownUnitIdException {
            ByteBuffer bytes = ByteBuffer.wrap(request.values());
            if (bytes.remaining() != request.quantity() * Short.BYTES) {
                throw new ModbusResponseException(
                        FunctionCode.WRITE_MULTIPLE_REGISTERS, ExceptionCode.ILLEGAL_DATA_VALUE);
            }
            int[] words = new int[request.quantity()];
            for (int i = 0; i < words.length; i++) {
                words[i] = bytes.getShort() & 0xFFFF;
            }
            write(unit, request.address(), words, FunctionCode.WRITE_MULTIPLE_REGISTERS);
            return new WriteMultipleRegistersResponse(request.address(), request.quantity());
        }

        @Override
        public WriteSingleRegisterResponse writeSingleRegister(
                ModbusRequestContext context, int unit, WriteSingleRegisterRequest request)
                throws ModbusResponseException, UnknownUnitIdException {
            write(unit, request.address(), new int[] {request.value()}, FunctionCode.WRITE_SINGLE_REGISTER);
            return new WriteSingleRegisterResponse(request.address(), request.value());
        }

        private void write(int unit, int address, int[] words, FunctionCode function)
                throws ModbusResponseException, UnknownUnitIdException {
            try {
                if (device(unit).write(address, words, model.now())) {
                    stored().ifPresent(model::program);
                }
            } catch (Refused refused) {
                throw new ModbusResponseException(function, refused.code());
            }
        }
    }
}
