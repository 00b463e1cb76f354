package sparen.site;

import sparen.quantity.Bounds;

/**
 * How far a battery has aged: an input, as measured by a capacity test or guessed.
 *
 * @param capacityFraction capacity left of the stated one (fraction), 0.1 to 1.2
 * @param resistanceFactor all resistances against new ones (×), 0.2 to 20
 */
public record Ageing(double capacityFraction, double resistanceFactor) {
    /** As new. */
    public static final Ageing NONE = new Ageing(1, 1);

    public Ageing {
        Bounds.within("capacityFraction", capacityFraction, 0.1, 1.2);
        Bounds.within("resistanceFactor", resistanceFactor, "×", 0.2, 20);
    }

    /** Both one after the other. */
    public Ageing and(Ageing other) {
        return new Ageing(capacityFraction * other.capacityFraction, resistanceFactor * other.resistanceFactor);
    }
}
