package org.stratopneum.web.door.account;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The rider's own account; the one look past the fence is for signing in. */
@Mapper
interface AccountMapper {

    /** An account as its owner sees it. */
    record Row(String name, String nameKey, String passwordHash, String email, int codes, int codesLeft) {}

    /** What signing in needs to know of a name. */
    record Key(UUID riderId, String passwordHash) {}

    @Select("select rider_id, password_hash from account_for_sign_in(#{nameKey})")
    Optional<Key> forSignIn(String nameKey);

    @Insert("""
            insert into account (name, name_key, password_hash, email, created_at)
            values (#{name.shown}, #{name.key}, #{passwordHash}, #{email}, #{at})
            on conflict (name_key) do nothing
            """)
    int insert(AccountName name, String passwordHash, String email, Instant at);

    @Select("""
            select name, name_key, password_hash, email,
                   (select count(*)::integer from recovery_code) as codes,
                   (select count(*)::integer from recovery_code where used_at is null) as codes_left
            from account
            """)
    Optional<Row> own();

    /** The same, for whoever changes it next; another who asks so waits. */
    @Select("select 1 from account for update")
    Integer hold();

    @Update("update account set password_hash = #{passwordHash}, version = version + 1")
    void changePassword(String passwordHash);

    @Update("update account set email = #{email}, version = version + 1")
    void changeEmail(String email);

    @Delete("delete from recovery_code")
    void dropCodes();

    @Insert("insert into recovery_code (code_hash) values (#{hash})")
    void addCode(String hash);

    @Select("select exists (select 1 from recovery_code where code_hash = #{hash} and used_at is null)")
    boolean hasCode(String hash);

    @Update("update recovery_code set used_at = #{at} where code_hash = #{hash} and used_at is null")
    int useCode(String hash, Instant at);
}
