package cauldron.server.labs;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Blocks that their writer has hidden: kept with what is written, and in no version that is given. */
final class Hidden {

    static final String FLAG = "hidden";

    private Hidden() {
    }

    /** A sheet as it is written, without what is hidden in it; what isn't of a sheet's shape stays as it is. */
    static Map<String, Object> without(Map<String, Object> sheet) {
        if (!(sheet.get("parts") instanceof List<?> parts)) {
            return sheet;
        }
        List<Object> kept = new ArrayList<>();
        for (Object part : parts) {
            if (part instanceof Map<?, ?> map && map.get("blocks") instanceof List<?> blocks) {
                Map<Object, Object> shown = new LinkedHashMap<>(map);
                shown.put("blocks", blocks.stream().filter(b -> !isHidden(b)).toList());
                kept.add(shown);
            } else {
                kept.add(part);
            }
        }
        Map<String, Object> shown = new LinkedHashMap<>(sheet);
        shown.put("parts", kept);
        return shown;
    }

    private static boolean isHidden(Object block) {
        return block instanceof Map<?, ?> map && Boolean.TRUE.equals(map.get(FLAG));
    }
}
