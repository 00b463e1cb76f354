package sparen.setting;

import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Sentence.NumberChip;
import sparen.program.Surroundings;
import sparen.quantity.Fields;
import sparen.quantity.Unit;

/** What a number of a plan is called where the device has no name for it: as its rule's sentence says, or by its field. */
final class SettingLabel {
    private SettingLabel() {}

    /**
     * The name of a number.
     *
     * @param path of the rule or the part it belongs to
     * @param field its place within that
     */
    static String of(Plan plan, String path, String field) {
        String words = Unit.words(field.replace("details/", ""));
        return Fields.at(plan, path) instanceof Rule rule
                ? rule.sentence(Surroundings.of(plan)).parts().stream()
                        .filter(NumberChip.class::isInstance)
                        .map(NumberChip.class::cast)
                        .filter(chip -> chip.field().equals(field.replace('/', '.')))
                        .map(NumberChip::label)
                        .findFirst()
                        .orElse(words)
                : words;
    }
}
