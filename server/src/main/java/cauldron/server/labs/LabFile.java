package cauldron.server.labs;

import cauldron.core.form.Oddities;
import cauldron.server.platform.Problems;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * A lab as a file for another Cauldron: a ZIP of {@code lab.json}, the sheet as {@code docs/lab.schema.json} describes
 * it, and its pictures below {@code pictures/}, each under its hash. The same lab gives the same bytes.
 *
 * @param sheet    as it was written, perhaps with faults, which whoever writes on is told
 * @param pictures by the names under which the sheet speaks of them; odd until they have been cleaned
 */
record LabFile(Map<String, Object> sheet, Map<String, byte[]> pictures) {

    private static final String SHEET = "lab.json";
    private static final Pattern PICTURE = Pattern.compile("pictures/([0-9a-f]{64})\\.(png|jpeg)");
    private static final int MOST_PICTURES = 60;
    private static final int LARGEST_SHEET = 250_000;
    private static final int LARGEST_PICTURE = 5_000_000;
    private static final int LARGEST = 30_000_000;

    /** Writes one. */
    static byte[] write(Map<String, Object> sheet, Map<String, Pictures.Shot> pictures, JsonMapper json) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            put(zip, SHEET, (json.writerWithDefaultPrettyPrinter().writeValueAsString(sheet) + "\n")
                    .getBytes(StandardCharsets.UTF_8));
            for (String id : pictures.keySet().stream().sorted().toList()) {
                Pictures.Shot shot = pictures.get(id);
                put(zip, "pictures/" + id + "." + shot.media().substring("image/".length()), shot.bytes());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        // When it was made would make every file another.
        entry.setTimeLocal(java.time.LocalDateTime.of(1980, 1, 1, 0, 0));
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }

    /** Reads one that somebody brings, telling all that is wrong with it. */
    static LabFile read(byte[] file, JsonMapper json) {
        List<String> faults = new ArrayList<>();
        Map<String, byte[]> parts = unpacked(file, faults);
        Map<String, Object> sheet = null;
        Map<String, byte[]> pictures = new LinkedHashMap<>();
        for (Map.Entry<String, byte[]> part : parts.entrySet()) {
            Matcher picture = PICTURE.matcher(part.getKey());
            if (part.getKey().equals(SHEET)) {
                sheet = sheet(part.getValue(), json, faults);
            } else if (picture.matches()) {
                pictures.put(picture.group(1), part.getValue());
            } else {
                faults.add("“" + shortened(part.getKey()) + "” doesn't belong in a lab");
            }
        }
        if (!parts.containsKey(SHEET)) {
            faults.add("there is no " + SHEET + " in it");
        }
        if (!faults.isEmpty()) {
            throw Problems.invalid("file", "File: " + String.join("; ", faults) + ".");
        }
        return new LabFile(sheet, pictures);
    }

    private static Map<String, Object> sheet(byte[] bytes, JsonMapper json, List<String> faults) {
        try {
            Map<String, Object> sheet = json.readValue(bytes, new TypeReference<LinkedHashMap<String, Object>>() { });
            String odd = sheet == null ? "it says nothing" : Oddities.of(sheet);
            if (odd == null) {
                return sheet;
            }
            faults.add(SHEET + ": " + odd);
        } catch (JacksonException e) {
            faults.add(SHEET + " isn't a lab in JSON");
        }
        return null;
    }

    /** All parts of a ZIP, counted while they are unpacked and never by what the file says of itself. */
    private static Map<String, byte[]> unpacked(byte[] file, List<String> faults) {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        long all = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file), StandardCharsets.UTF_8)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                int most = entry.getName().equals(SHEET) ? LARGEST_SHEET : LARGEST_PICTURE;
                byte[] bytes = zip.readNBytes(most + 1);
                all += bytes.length;
                if (bytes.length > most) {
                    faults.add("“" + shortened(entry.getName()) + "” is larger than " + most / 1000 + " kB");
                    return parts;
                }
                if (all > LARGEST || parts.size() > MOST_PICTURES) {
                    faults.add("a lab holds at most " + MOST_PICTURES + " pictures and " + LARGEST / 1_000_000 + " MB");
                    return parts;
                }
                if (parts.put(entry.getName(), bytes) != null) {
                    faults.add("“" + shortened(entry.getName()) + "” is there twice");
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            faults.add("it can't be unpacked as a ZIP");
            return parts;
        }
        if (parts.isEmpty()) {
            faults.add("it is no ZIP, or an empty one");
        }
        return parts;
    }

    private static String shortened(String name) {
        return Oddities.isClean(name) ? name.substring(0, Math.min(60, name.length())) : "?";
    }
}
