package cauldron.server.labs;

import cauldron.core.sheet.Sheet;
import cauldron.server.platform.Problems;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The catalogue of labs. Those that ship with Cauldron are files below {@code labs/}, loaded at start. */
@Service
public class Labs {

    /** A lab as the catalogue shows it. */
    public record LabInfo(UUID id, UUID versionId, Sheet sheet) {
    }

    /** A version with as many tries as were given with it. */
    private record Given(UUID version, Integer tries) {
    }

    private static final Logger LOG = LoggerFactory.getLogger(Labs.class);

    private final LabRepository labs;
    private final LabVersionRepository versions;
    private final JsonMapper json;
    private final Clock clock;
    /** Versions never change, so a sheet is read from its tree once. */
    private final Cache<Given, Sheet> sheets = Caffeine.newBuilder().maximumSize(500).build();

    Labs(LabRepository labs, LabVersionRepository versions, JsonMapper json, Clock clock) {
        this.labs = labs;
        this.versions = versions;
        this.json = json;
        this.clock = clock;
    }

    /** Loads the shipped labs; a changed one becomes a new version beside the old. */
    @EventListener(ApplicationStartedEvent.class)
    @Transactional
    public void loadShipped() throws IOException {
        for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath:/labs/*.json")) {
            String slug = file.getFilename().replace(".json", "");
            Map<String, Object> tree;
            try (InputStream in = file.getInputStream()) {
                tree = json.readValue(in, new TypeReference<LinkedHashMap<String, Object>>() { });
            }
            Sheet sheet = Sheet.fromTree(tree);
            Lab lab = labs.findBySlug(slug).orElseGet(() -> labs.save(new Lab(slug, clock.instant())));
            LabVersion last = versions.findFirstByLabIdAndNumberNotNullOrderByNumberDesc(lab.id()).orElse(null);
            if (last == null || !json.valueToTree(last.sheet()).equals(json.valueToTree(tree))) {
                int number = last == null ? 1 : last.number() + 1;
                versions.save(new LabVersion(lab.id(), number, tree, Models.of(sheet), clock.instant()));
                LOG.info("Lab {} version {} loaded", slug, number);
            }
        }
    }

    /** The newest version of every shipped lab. */
    @Transactional(readOnly = true)
    public List<LabInfo> shipped() {
        return versions.newestShipped().stream().map(this::info).toList();
    }

    /** The newest version of a lab that a teacher may read. */
    @Transactional(readOnly = true)
    public LabInfo newest(UUID labId, UUID teacher) {
        return labs.findById(labId).filter(l -> l.isReadableBy(teacher)).map(l -> newest(labId))
                .orElseThrow(() -> Problems.notFound("lab"));
    }

    private LabInfo newest(UUID labId) {
        return versions.findFirstByLabIdAndNumberNotNullOrderByNumberDesc(labId).map(this::info)
                .orElseThrow(() -> Problems.notFound("lab"));
    }

    /** The newest versions of labs, by lab; those that have none are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, LabInfo> newest(Collection<UUID> labIds) {
        Map<UUID, LabInfo> map = new LinkedHashMap<>();
        versions.newestOfEach(labIds).forEach(v -> map.put(v.labId(), info(v)));
        return map;
    }

    /** The newest version of a shipped lab. */
    @Transactional(readOnly = true)
    public LabInfo shipped(String slug) {
        return labs.findBySlug(slug).map(lab -> newest(lab.id())).orElseThrow(() -> Problems.notFound("lab"));
    }

    /**
     * The sheet of a version.
     *
     * @param tries how many tries at a question bring points, or null as the lab says
     */
    @Transactional(readOnly = true)
    public Sheet sheet(UUID versionId, Integer tries) {
        return sheets.get(new Given(versionId, tries), g -> {
            Map<String, Object> tree = versions.findById(versionId).orElseThrow(() -> Problems.notFound("lab")).sheet();
            Sheet sheet = Sheet.fromTree(tree);
            return tries == null ? sheet : sheet.withTries(tries);
        });
    }

    /** The lab that a version is of. */
    @Transactional(readOnly = true)
    public UUID labOf(UUID versionId) {
        return versions.labOf(versionId).orElseThrow(() -> Problems.notFound("lab"));
    }

    /** The labs that versions are of. */
    @Transactional(readOnly = true)
    public Map<UUID, UUID> labsOf(Collection<UUID> versionIds) {
        Map<UUID, UUID> map = new LinkedHashMap<>();
        versions.labsOf(versionIds).forEach(v -> map.put(v.id(), v.labId()));
        return map;
    }

    /**
     * The newest version of the lab that a version is of; the version itself where a teacher may read none but that.
     */
    @Transactional(readOnly = true)
    public UUID newestOf(UUID versionId, UUID teacher) {
        return versions.newestOf(versionId, teacher).orElse(versionId);
    }

    private LabInfo info(LabVersion v) {
        return new LabInfo(v.labId(), v.id(), sheets.get(new Given(v.id(), null), g -> Sheet.fromTree(v.sheet())));
    }
}
