package cauldron.server.classes;

import cauldron.server.accounts.Accounts;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Classes and who belongs to them. */
@Service
public class Classes {

    /** A class as others may know it. */
    public record ClassInfo(UUID id, String name, String code, UUID teacherId) {
    }

    // Without what is mistaken for something else when read from a board: 0 O 1 I L 5 S 2 Z 8 B U V.
    private static final String CODE_LETTERS = "ACDEFGHJKMNPQRTWXY34679";
    private static final int CODE_LENGTH = 6;

    private final SchoolClassRepository classes;
    private final MembershipRepository memberships;
    private final Accounts accounts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Classes(SchoolClassRepository classes, MembershipRepository memberships, Accounts accounts, Clock clock) {
        this.classes = classes;
        this.memberships = memberships;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Makes a class; with a code of its own where none is given. */
    @Transactional
    public ClassInfo create(UUID teacher, String name, String code) {
        return info(classes.save(new SchoolClass(name.strip(), code != null ? code : freeCode(), teacher,
                clock.instant())));
    }

    /** The classes of a teacher. */
    @Transactional(readOnly = true)
    public List<ClassInfo> ofTeacher(UUID teacher) {
        return classes.findByTeacherIdOrderByName(teacher).stream().map(Classes::info).toList();
    }

    /** The class, if it is this teacher's; 404 otherwise. */
    @Transactional(readOnly = true)
    public ClassInfo ownedBy(UUID classId, UUID teacher) {
        return classes.findByIdAndTeacherId(classId, teacher).map(Classes::info)
                .orElseThrow(() -> Problems.notFound("class"));
    }

    /** Classes by id. */
    @Transactional(readOnly = true)
    public Map<UUID, ClassInfo> byId(Collection<UUID> ids) {
        Map<UUID, ClassInfo> map = new LinkedHashMap<>();
        classes.findAllById(ids).forEach(c -> map.put(c.id(), info(c)));
        return map;
    }

    /** The students of each class. */
    @Transactional(readOnly = true)
    public Map<UUID, Set<UUID>> students(Collection<UUID> classIds) {
        return memberships.findByClassIdIn(classIds).stream().collect(Collectors.groupingBy(Membership::classId,
                LinkedHashMap::new, Collectors.mapping(Membership::studentId,
                        Collectors.toCollection(LinkedHashSet::new))));
    }

    /** The classes a student is in. */
    @Transactional(readOnly = true)
    public Set<UUID> ofStudent(UUID student) {
        return memberships.findByStudentId(student).stream().map(Membership::classId).collect(Collectors.toSet());
    }

    /** Whether a student is in a class. */
    @Transactional(readOnly = true)
    public boolean isMember(UUID classId, UUID student) {
        return memberships.existsByClassIdAndStudentId(classId, student);
    }

    /** A new student joins by code. */
    @Transactional
    public Person join(String code, String displayName, String secret) {
        SchoolClass found = classes.findByCode(code.strip().toUpperCase(Locale.ROOT).replace(" ", ""))
                .orElseThrow(() -> Problems.invalid("code", "No class has this code. Check it letter by letter."));
        Set<UUID> students = students(List.of(found.id())).getOrDefault(found.id(), Set.of());
        boolean taken = accounts.people(students).values().stream()
                .anyMatch(p -> p.displayName().equalsIgnoreCase(displayName.strip()));
        if (taken) {
            throw Problems.invalid("displayName", "Someone in this class already has that name. Add an initial, or"
                    + " sign in if it is you.");
        }
        Person person = accounts.create(null, displayName, Person.Role.STUDENT, secret);
        memberships.save(new Membership(found.id(), person.id(), clock.instant()));
        return person;
    }

    private String freeCode() {
        while (true) {
            String code = random.ints(CODE_LENGTH, 0, CODE_LETTERS.length())
                    .mapToObj(i -> String.valueOf(CODE_LETTERS.charAt(i))).collect(Collectors.joining());
            if (classes.findByCode(code).isEmpty()) {
                return code;
            }
        }
    }

    private static ClassInfo info(SchoolClass c) {
        return new ClassInfo(c.id(), c.name(), c.code(), c.teacherId());
    }
}
