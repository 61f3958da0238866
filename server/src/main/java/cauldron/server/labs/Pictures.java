package cauldron.server.labs;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collection;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures in labs. A text speaks of one as {@code ![words](picture:hash)}. */
@Service
public class Pictures {

    /** The most pictures that one teacher can bring. */
    static final int MOST = 1000;
    static final String SCHEME = "picture:";
    private static final String ADDRESS = "/api/pictures/";
    private static final Pattern SPOKEN = Pattern.compile(SCHEME + "([0-9a-f]{64})");

    /** A picture as it is shown. */
    record Shot(String media, byte[] bytes) {
    }

    private final PictureRepository pictures;
    private final Clock clock;

    Pictures(PictureRepository pictures, Clock clock) {
        this.pictures = pictures;
        this.clock = clock;
    }

    /** Keeps a picture, cleaned, and gives back the name under which a text can speak of it. */
    @Transactional
    public String keep(byte[] file, Person teacher) {
        CleanPicture clean;
        try {
            clean = CleanPicture.of(file);
        } catch (IOException e) {
            throw Problems.invalid("file", "Picture: " + e.getMessage() + ".");
        }
        String id = hash(clean.bytes());
        if (pictures.existsById(id)) {
            return id;
        }
        if (pictures.countByBroughtBy(teacher.id()) >= MOST) {
            throw Problems.conflict("too-many", "You have brought " + MOST
                    + " pictures, which is as many as can be kept.");
        }
        pictures.saveAndFlush(new Picture(id, clean, teacher.id(), clock.instant()));
        return id;
    }

    @Transactional(readOnly = true)
    Shot shot(String id) {
        return pictures.findById(id).map(p -> new Shot(p.media(), p.body())).orElseThrow(() ->
                Problems.notFound("picture"));
    }

    /** The pictures of which a sheet speaks. */
    static Set<String> spokenOf(Object tree) {
        Set<String> ids = new LinkedHashSet<>();
        if (tree instanceof Map<?, ?> map) {
            map.values().forEach(v -> ids.addAll(spokenOf(v)));
        } else if (tree instanceof Collection<?> list) {
            list.forEach(v -> ids.addAll(spokenOf(v)));
        } else if (tree instanceof String text) {
            Matcher found = SPOKEN.matcher(text);
            while (found.find()) {
                ids.add(found.group(1));
            }
        }
        return ids;
    }

    /** Those of some pictures that aren't there. */
    @Transactional(readOnly = true)
    public List<String> missing(Collection<String> ids) {
        List<String> left = new ArrayList<>(ids);
        if (!ids.isEmpty()) {
            left.removeAll(pictures.known(ids));
        }
        return left;
    }

    /** All that a sheet speaks of and that is there. */
    @Transactional(readOnly = true)
    Map<String, Shot> of(Object tree) {
        Map<String, Shot> found = new LinkedHashMap<>();
        pictures.findAllById(spokenOf(tree)).forEach(p -> found.put(p.getId(), new Shot(p.media(), p.body())));
        return found;
    }

    /** Puts the pictures themselves into a page that is to be printed. */
    @Transactional(readOnly = true)
    public void putInto(Document page) {
        for (Element img : page.select("img[src^=" + ADDRESS + "]")) {
            Picture p = pictures.findById(img.attr("src").substring(ADDRESS.length())).orElse(null);
            if (p == null) {
                img.remove();
            } else {
                img.attr("src", "data:" + p.media() + ";base64," + Base64.getEncoder().encodeToString(p.body()));
            }
        }
    }

    /** Where a page finds a picture, for an address in a text; null where the text speaks of none. */
    static String address(String destination) {
        Matcher found = SPOKEN.matcher(destination);
        return found.matches() ? ADDRESS + found.group(1) : null;
    }

    static String hash(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
