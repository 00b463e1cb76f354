package sparen.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Looking and changing along paths, through lists by id and through what may be absent. */
public class FieldsTest {
    public record Leaf(String id, double volts) {
        public Leaf {
            Bounds.within("volts", volts, "V", 0, 100);
        }
    }

    public record Tree(List<Leaf> leaves, Optional<Leaf> best, Optional<Double> note) {}

    private static final Tree TREE =
            new Tree(List.of(new Leaf("a", 1), new Leaf("b", 2)), Optional.of(new Leaf("c", 3)), Optional.empty());

    @Test
    public void looksAlongAPath() {
        assertEquals(Fields.at(TREE, "leaves/b/volts"), 2.0);
        assertEquals(Fields.at(TREE, "best/volts"), 3.0);
        assertNull(Fields.at(TREE, "note"));
        assertNull(Fields.at(TREE, "leaves/x/volts"));
        assertNull(Fields.at(TREE, "leaves/a/volts/deeper"));
    }

    @Test
    public void changesOnePlaceAndLeavesTheOriginal() {
        Tree changed = Fields.withAt(TREE, "leaves/b/volts", 7.0);
        assertEquals(changed.leaves(), List.of(new Leaf("a", 1), new Leaf("b", 7)));
        assertEquals(Fields.at(TREE, "leaves/b/volts"), 2.0);
        assertEquals(Fields.withAt(TREE, "best/volts", 4.0).best(), Optional.of(new Leaf("c", 4)));
        assertEquals(Fields.withAt(TREE, "note", 5.0).note(), Optional.of(5.0));
        assertEquals(Fields.withAt(TREE, "best", null).best(), Optional.empty());
    }

    @Test
    public void refusesWhatIsNotThereOrCannotBe() {
        assertThrows(IllegalArgumentException.class, () -> Fields.withAt(TREE, "leaves/x/volts", 7.0));
        assertThrows(IllegalArgumentException.class, () -> Fields.withAt(TREE, "roots", 7.0));
        assertThrows(InvalidQuantity.class, () -> Fields.withAt(TREE, "leaves/a/volts", -1.0));
    }
}
