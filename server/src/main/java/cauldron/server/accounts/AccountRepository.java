package cauldron.server.accounts;

import cauldron.server.platform.Person;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<Account, UUID> {

    Optional<Account> findByUserName(String userName);

    boolean existsByUserName(String userName);

    boolean existsByRole(Person.Role role);

    long countByRoleAndActive(Person.Role role, boolean active);

    /** People whose name or user name holds a text, given in small letters. */
    @Query("select a from Account a where (:staff = false or a.role <> cauldron.server.platform.Person$Role.STUDENT)"
            + " and (lower(a.displayName) like concat('%', :text, '%') escape '\\' or a.userName like concat('%', :text, '%') escape '\\')"
            + " order by a.displayName, a.userName")
    List<Account> search(String text, boolean staff, Limit most);

    /** Held until the transaction ends, so that two people of one name get two user names. */
    @Query(nativeQuery = true, value = "select 1 from (select pg_advisory_xact_lock(hashtext(:base))) held")
    int holdName(String base);
}
