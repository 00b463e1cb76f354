package sparen.quantity;

import java.util.List;

/** The public records of a module, found as a service. The class behind it is written while the module is compiled. */
public interface RecordTypes {
    /** One entry for each record. */
    List<RecordType> all();
}
