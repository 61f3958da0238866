package cauldron.server.classes;

import cauldron.server.accounts.Accounts;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.platform.Words;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HexFormat;
import java.util.Optional;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Classes and who belongs to them. */
@Service
public class Classes {

    /** A class as others may know it. */
    public record ClassInfo(UUID id, String name, String code, UUID teacherId, boolean joinable, boolean archived) {
    }

    /** A student's place in a class; {@code leftAt} where they were taken out. */
    public record Member(UUID studentId, Instant joinedAt, Instant leftAt) {
    }

    // Without what is mistaken for something else when read from a board: 0 O 1 I L 5 S 2 Z 8 B U V.
    private static final String CODE_LETTERS = "ACDEFGHJKMNPQRTWXY34679";
    private static final int CODE_LENGTH = 6;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_STUDENT_NAME = 40;
    private static final int MOST_STUDENTS = 1000;

    private final SchoolClassRepository classes;
    private final MembershipRepository memberships;
    private final Accounts accounts;
    private final Clock clock;
    private static final int KEY_BYTES = 16;
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
        return info(classes.save(new SchoolClass(named(name), code != null ? code : freeCode(), teacher,
                clock.instant())));
    }

    private static String named(String name) {
        return Words.name("name", name, "Name of the class", LONGEST_NAME);
    }

    /** The classes of a teacher, those that are over too. */
    @Transactional(readOnly = true)
    public List<ClassInfo> ofTeacher(UUID teacher) {
        return classes.findByTeacherIdOrderByName(teacher).stream().map(Classes::info).toList();
    }

    /** The class, if it is this teacher's; 404 otherwise. */
    @Transactional(readOnly = true)
    public ClassInfo ownedBy(UUID classId, UUID teacher) {
        return info(owned(classId, teacher));
    }

    private SchoolClass owned(UUID classId, UUID teacher) {
        return classes.findByIdAndTeacherId(classId, teacher).orElseThrow(() -> Problems.notFound("class"));
    }

    @Transactional
    public ClassInfo rename(UUID classId, UUID teacher, String name) {
        SchoolClass c = owned(classId, teacher);
        c.rename(named(name));
        return info(c);
    }

    /** Gives a class a new code; the old one leads nowhere from now on. */
    @Transactional
    public ClassInfo newCode(UUID classId, UUID teacher) {
        SchoolClass c = owned(classId, teacher);
        c.code(freeCode());
        return info(c);
    }

    /** Opens or closes joining. */
    @Transactional
    public ClassInfo joinable(UUID classId, UUID teacher, boolean open) {
        SchoolClass c = owned(classId, teacher);
        c.joinable(open);
        return info(c);
    }

    /** Ends a class, or takes it up again: what was done in it can be read, but not changed. */
    @Transactional
    public ClassInfo archive(UUID classId, UUID teacher, boolean over) {
        SchoolClass c = owned(classId, teacher);
        c.archive(over ? clock.instant() : null);
        return info(c);
    }

    /**
     * The key under which calendars read when a class's labs are due.
     *
     * @param anew whether the one before leads nowhere from now on
     */
    @Transactional
    public String calendarKey(UUID classId, UUID teacher, boolean anew) {
        SchoolClass c = owned(classId, teacher);
        if (anew || c.calendarKey() == null) {
            byte[] key = new byte[KEY_BYTES];
            random.nextBytes(key);
            c.calendarKey(HexFormat.of().formatHex(key));
        }
        return c.calendarKey();
    }

    /** The class of such a key. */
    @Transactional(readOnly = true)
    public Optional<ClassInfo> byCalendarKey(String key) {
        return classes.findByCalendarKey(key).map(Classes::info);
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
        return memberships.findByClassIdInAndLeftAtIsNull(classIds).stream().collect(Collectors.groupingBy(
                Membership::classId, LinkedHashMap::new, Collectors.mapping(Membership::studentId,
                        Collectors.toCollection(LinkedHashSet::new))));
    }

    /** Everybody who is or was in a class. */
    @Transactional(readOnly = true)
    public List<Member> members(UUID classId) {
        return memberships.findByClassIdOrderByJoinedAt(classId).stream()
                .map(m -> new Member(m.studentId(), m.joinedAt(), m.leftAt())).toList();
    }

    /** The classes a student is in. */
    @Transactional(readOnly = true)
    public Set<UUID> ofStudent(UUID student) {
        return memberships.findByStudentIdAndLeftAtIsNull(student).stream().map(Membership::classId)
                .collect(Collectors.toSet());
    }

    /** Whether a student is in a class. */
    @Transactional(readOnly = true)
    public boolean isMember(UUID classId, UUID student) {
        return memberships.existsByClassIdAndStudentIdAndLeftAtIsNull(classId, student);
    }

    /** Takes a student out of a class, or back in. */
    @Transactional
    public void member(UUID classId, UUID student, boolean in) {
        Membership m = memberships.findByClassIdAndStudentId(classId, student)
                .orElseThrow(() -> Problems.notFound("student"));
        m.leave(in ? null : clock.instant());
    }

    /** Puts someone who has an account into a class. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void add(UUID classId, UUID student) {
        Membership m = memberships.findByClassIdAndStudentId(classId, student).orElse(null);
        if (m == null) {
            memberships.save(new Membership(classId, student, clock.instant()));
        } else {
            m.leave(null);
        }
    }

    /**
     * A new student joins by code.
     *
     * @param secretHash the chosen secret's, so that nothing slow is done while the class is held
     */
    @Transactional
    public Person join(String code, String displayName, String secretHash) {
        String shown = Words.name("displayName", displayName, "Name", LONGEST_STUDENT_NAME);
        SchoolClass found = joining(code);
        Set<UUID> students = students(List.of(found.id())).getOrDefault(found.id(), Set.of());
        if (students.size() >= MOST_STUDENTS) {
            throw Problems.conflict("class-full", "This class has " + MOST_STUDENTS + " students already.");
        }
        boolean taken = accounts.people(students).values().stream()
                .anyMatch(p -> Words.sameness(p.displayName()).equals(Words.sameness(shown)));
        if (taken) {
            throw Problems.invalid("displayName", "Someone in this class already has that name. Add an initial, or"
                    + " sign in if it is you.");
        }
        Person person = accounts.create(null, shown, Person.Role.STUDENT, secretHash);
        memberships.save(new Membership(found.id(), person.id(), clock.instant()));
        return person;
    }

    /** Someone who has an account already joins another class by its code. */
    @Transactional
    public ClassInfo joinToo(String code, Person student) {
        SchoolClass found = joining(code);
        Membership before = memberships.findByClassIdAndStudentId(found.id(), student.id()).orElse(null);
        if (before != null && before.leftAt() != null) {
            throw Problems.conflict("taken-out", "You were taken out of this class. Ask your teacher to take you back in.");
        }
        add(found.id(), student.id());
        return info(found);
    }

    private SchoolClass joining(String code) {
        String plain = code == null || code.indexOf('\0') >= 0 ? "" : code.toUpperCase(Locale.ROOT).replaceAll("\\s", "");
        SchoolClass found = classes.hold(plain).orElseThrow(() -> Problems.invalid("code",
                "No class has this code. Check it letter by letter."));
        if (!found.joinable() || found.archived()) {
            throw Problems.conflict("closed", "Nobody can join this class just now. Ask your teacher to open it.");
        }
        return found;
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
        return new ClassInfo(c.id(), c.name(), c.code(), c.teacherId(), c.joinable(), c.archived());
    }
}
