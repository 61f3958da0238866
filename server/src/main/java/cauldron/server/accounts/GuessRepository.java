package cauldron.server.accounts;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface GuessRepository extends Repository<Guess, Guess.Key> {

    @Query(nativeQuery = true, value = "select exists (select 1 from guess"
            + " where target = :target and address = :address and browser = :browser)")
    boolean has(String target, String address, String browser);

    /** Whether the account of a user name was signed in to from a browser before. */
    @Query(nativeQuery = true, value = "select exists (select 1 from known_browser k join account a on a.id = k.account_id"
            + " where k.browser = :browser and a.user_name = :userName)")
    boolean knows(String browser, String userName);

    /** From how many browsers at an address something was tried lately. */
    @Query(nativeQuery = true, value = "select count(*) from guess"
            + " where target = :target and address = :address and last_at > :since")
    int lately(String target, String address, Instant since);

    /** Lets a browser wait before its first try. */
    @Modifying
    @Query(nativeQuery = true, value = "insert into guess (target, address, browser, tries, last_at, free_at)"
            + " values (:target, :address, :browser, 0, :now, :freeAt) on conflict do nothing")
    void hold(String target, String address, String browser, Instant now, Instant freeAt);

    /** Counts a try: 1, or 0 where it comes too soon. The fifth costs a second, each one more twice as long. */
    @Modifying
    @Query(nativeQuery = true, value = """
            insert into guess as g (target, address, browser, tries, last_at, free_at)
            values (:target, :address, :browser, 1, :now, :now)
            on conflict (target, address, browser) do update set
              tries = case when g.last_at < cast(:now as timestamptz) - interval '15 minutes' then 1 else g.tries + 1 end,
              last_at = :now,
              free_at = cast(:now as timestamptz) + interval '1 second' * case
                when g.last_at < cast(:now as timestamptz) - interval '15 minutes' or g.tries + 1 < 5 then 0
                else least(cast(:longest as int), power(2, least(g.tries - 4, 20))) end
            where g.free_at <= :now""")
    int count(String target, String address, String browser, Instant now, int longest);

    @Query(nativeQuery = true, value = "select free_at from guess"
            + " where target = :target and address = :address and browser = :browser")
    Instant freeAt(String target, String address, String browser);

    @Modifying
    @Query(nativeQuery = true, value = "delete from guess"
            + " where target = :target and address = :address and browser = :browser")
    void forget(String target, String address, String browser);

    @Modifying
    @Query(nativeQuery = true, value = "insert into known_browser (browser, account_id, last_at)"
            + " values (:browser, :account, :now) on conflict (browser, account_id) do update set last_at = :now")
    void know(String browser, UUID account, Instant now);

    @Modifying
    @Query(nativeQuery = true, value = "delete from guess where last_at < :before")
    void clean(Instant before);

    @Modifying
    @Query(nativeQuery = true, value = "delete from known_browser where last_at < :before")
    void cleanKnown(Instant before);
}
