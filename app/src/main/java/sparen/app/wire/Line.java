package sparen.app.wire;

import com.digitalpetri.modbus.client.ModbusTcpClient;
import com.digitalpetri.modbus.exceptions.ModbusExecutionException;
import com.digitalpetri.modbus.exceptions.ModbusResponseException;
import com.digitalpetri.modbus.exceptions.ModbusTimeoutException;
import com.digitalpetri.modbus.pdu.ModbusRequestPdu;
import com.digitalpetri.modbus.pdu.ModbusResponsePdu;
import com.digitalpetri.modbus.pdu.ReadHoldingRegistersRequest;
import com.digitalpetri.modbus.pdu.ReadHoldingRegistersResponse;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersRequest;
import com.digitalpetri.modbus.pdu.WriteSingleRegisterRequest;
import com.digitalpetri.modbus.tcp.client.NettyTcpClientTransport;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import sparen.device.Register;

/** An open line to one device. Not to be shared by threads. */
public final class Line implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Line.class);
    private static final Duration PATIENCE = Duration.ofSeconds(3);
    /** The most one request may read: MODBUS Application Protocol Specification V1.1b3, §6.3. */
    private static final int MOST_REGISTERS = 125;

    private static final int MASK = 0xFFFF;

    /** What a device says when it says no: the same specification, §7. */
    private static final Map<Integer, String> NOES = Map.of(
            1, "it takes no such request; it may want its password first",
            2, "it has no such register",
            3, "it does not take that number",
            4, "it failed at it",
            5, "it is still at it",
            6, "it is busy",
            10, "nothing is connected behind that address",
            11, "the device behind that address does not answer");

    private final Connection connection;
    private final ModbusTcpClient client;
    /** Ends when the connection does: nobody waits for an answer that cannot come. */
    private final CompletableFuture<ModbusResponsePdu> lost;

    private Line(Connection connection, ModbusTcpClient client, CompletableFuture<ModbusResponsePdu> lost) {
        this.connection = connection;
        this.client = client;
        this.lost = lost;
    }

    static Line open(Connection connection) throws LineProblem {
        NettyTcpClientTransport transport = NettyTcpClientTransport.create(config -> {
            config.hostname = connection.host();
            config.port = connection.port();
            config.connectTimeout = PATIENCE;
            config.connectPersistent = false;
        });
        CompletableFuture<ModbusResponsePdu> lost = new CompletableFuture<>();
        transport.addConnectionListener(new NettyTcpClientTransport.ConnectionListener() {
            @Override
            public void onConnection() {
                LOG.debug("connected to {}", connection);
            }

            @Override
            public void onConnectionLost() {
                lost.completeExceptionally(new ModbusExecutionException("the connection was lost"));
            }
        });
        ModbusTcpClient client = ModbusTcpClient.create(transport, config -> config.requestTimeout = PATIENCE);
        try {
            client.connect();
            return new Line(connection, client, lost);
        } catch (ModbusExecutionException failed) {
            throw new LineProblem(
                    "Nobody answers at " + connection.address() + ": is it on, and is the line plugged in?", failed);
        }
    }

    @Override
    public void close() {
        try {
            client.disconnect();
        } catch (ModbusExecutionException failed) {
            LOG.debug("a line was gone already", failed);
        }
    }

    /** What stands in some registers, each by its address; neighbours are asked for together. */
    public Map<Integer, List<Integer>> read(List<Register> registers) throws LineProblem {
        NavigableMap<Integer, Integer> words = new TreeMap<>();
        registers.forEach(one -> {
            for (int i = 0; i < one.words(); i++) {
                words.put(one.address() + i, null);
            }
        });
        List<Integer> addresses = new ArrayList<>(words.keySet());
        for (int from = 0; from < addresses.size(); ) {
            int to = from + 1;
            while (to < addresses.size()
                    && addresses.get(to) == addresses.get(to - 1) + 1
                    && to - from < MOST_REGISTERS) {
                to++;
            }
            List<Integer> block = read(addresses.get(from), to - from);
            for (int i = from; i < to; i++) {
                words.put(addresses.get(i), block.get(i - from));
            }
            from = to;
        }
        Map<Integer, List<Integer>> raw = new TreeMap<>();
        registers.forEach(one -> raw.put(
                one.address(),
                List.copyOf(
                        words.subMap(one.address(), one.address() + one.words()).values())));
        return raw;
    }

    /** What stands in registers that follow each other, 0 to 65535 each. */
    public List<Integer> read(int address, int quantity) throws LineProblem {
        String doing = "Reading register " + address;
        ModbusResponsePdu answer = ask(doing, new ReadHoldingRegistersRequest(address, quantity));
        byte[] bytes = ((ReadHoldingRegistersResponse) answer).registers();
        if (bytes.length != quantity * Short.BYTES) {
            throw new LineProblem(doing + ": " + bytes.length + " bytes came for " + quantity + " registers.");
        }
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        List<Integer> words = new ArrayList<>();
        while (buffer.hasRemaining()) {
            words.add(buffer.getShort() & MASK);
        }
        return words;
    }

    /** Writes registers that follow each other; one by itself as a single one, which more devices take. */
    public void write(int address, List<Integer> words) throws LineProblem {
        ByteBuffer bytes = ByteBuffer.allocate(words.size() * Short.BYTES);
        words.forEach(word -> bytes.putShort(word.shortValue()));
        ask(
                "Writing register " + address,
                words.size() == 1
                        ? new WriteSingleRegisterRequest(address, words.get(0))
                        : new WriteMultipleRegistersRequest(address, words.size(), bytes.array()));
    }

    private ModbusResponsePdu ask(String doing, ModbusRequestPdu request) throws LineProblem {
        try {
            return client.sendAsync(connection.unit(), request)
                    .toCompletableFuture()
                    .applyToEither(lost, answer -> answer)
                    .get();
        } catch (ExecutionException failed) {
            throw problem(doing, failed.getCause());
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw new LineProblem(doing + ": stopped here.", ended);
        }
    }

    private LineProblem problem(String doing, Throwable failed) {
        String why = "the line to " + connection.address() + " is gone";
        if (failed instanceof ModbusResponseException no) {
            why = NOES.getOrDefault(no.getExceptionCode(), "it says no, with code " + no.getExceptionCode());
        } else if (failed instanceof ModbusTimeoutException) {
            why = "no answer from " + connection.address() + " within " + PATIENCE.toSeconds() + " s";
        }
        return new LineProblem(doing + ": " + why + ".", failed);
    }
}
