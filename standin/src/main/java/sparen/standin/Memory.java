package sparen.standin;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What stands in the registers of a device: what it goes by until it is switched off, and what it still has then. */
final class Memory {
    private final Path file;
    private final Map<Integer, Integer> stored = new TreeMap<>();
    private final Map<Integer, Integer> volatiles = new TreeMap<>();

    /**
     * The memory of a device that has just been switched on.
     *
     * @param file where it is kept
     * @param factory what stands in it where there is no file yet
     */
    Memory(Path file, Map<Integer, Integer> factory) throws IOException {
        this.file = file;
        if (Files.exists(file)) {
            for (String line : Files.readAllLines(file)) {
                String[] pair = line.split("=");
                stored.put(Integer.valueOf(pair[0]), Integer.valueOf(pair[1]));
            }
        }
        factory.forEach(stored::putIfAbsent);
        volatiles.putAll(stored);
        save();
    }

    Integer get(int address) {
        return volatiles.get(address);
    }

    void put(int address, int word) {
        volatiles.put(address, word);
    }

    /** What it would still have. */
    Map<Integer, Integer> stored() {
        return stored;
    }

    /** Keeps all of it: a whole file, or the one before. */
    void save() {
        stored.putAll(volatiles);
        String text = stored.entrySet().stream()
                .map(one -> one.getKey() + "=" + one.getValue() + "\n")
                .collect(Collectors.joining());
        try {
            Path next = file.resolveSibling(file.getFileName() + ".next");
            Files.writeString(next, text, StandardCharsets.UTF_8);
            try (FileChannel channel = FileChannel.open(next, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            Files.move(next, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** As after its supply was gone. */
    void forget() {
        volatiles.clear();
        volatiles.putAll(stored);
    }
}
