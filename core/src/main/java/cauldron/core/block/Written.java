package cauldron.core.block;

import cauldron.core.analysis.DataTable;
import java.util.List;
import java.util.Map;

/** What a student has written into a notebook so far. */
public interface Written {

    /** The newest value of one slot of a block, as it is stored; empty where nothing readable was written. */
    Map<String, Object> slot(String block, String slot);

    /** The names of a block's slots. */
    List<String> slots(String block);

    /** The table of an id, worked out; null where there is none. */
    DataTable worked(String table);

    /** How many different recordings were made for a block. */
    int recordings(String block);
}
