package sparen.site;

/** What somebody makes of the way in which a consumption changes by itself; the compiler tells where a kind is missing. */
public interface ChangingConsumption<T> {
    /** Of what never does. */
    T steady();

    /** Of what runs and rests by turns. */
    T cycling(Consumption.Cycling machine);

    /** Of what goes by the clock. */
    T scheduled(Consumption.Scheduled schedule);

    /** Of people about the house. */
    T occupancy(Consumption.Occupancy people);

    /** Of what follows a profile. */
    T imported(Consumption.ImportedProfile profile);
}
