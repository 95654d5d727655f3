package org.stratopneum.web.account;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.PressureUnit;

/** What a stranger typed to sign up. The password is read but never shown again. */
record SignUpForm(String name, String password, String email, String zone, String unit) {

    /** One sign in the middle and no blanks; whether it can be reached only a mail would tell. */
    private static final Pattern EMAIL = Pattern.compile("[^\\s@]{1,64}@[^\\s@]{1,189}");

    static SignUpForm of(Map<String, String> parameters) {
        return new SignUpForm(
                parameters.getOrDefault("name", ""),
                parameters.getOrDefault("password", ""),
                parameters.getOrDefault("email", "").strip(),
                parameters.getOrDefault("zone", ""),
                parameters.getOrDefault("unit", PressureUnit.PSI.name()));
    }

    /** Reads the form; faults go to {@code problems}, and then there is nobody. */
    Optional<Accounts.NewRider> read(Problems problems) {
        Optional<AccountName> accountName = AccountName.of(name);
        if (accountName.isEmpty()) {
            problems.add(Problem.of("name", "not-a-name"));
        }
        PasswordRules.check("password", password, problems);
        if (!email.isEmpty() && !EMAIL.matcher(email).matches()) {
            problems.add(Problem.of("email", "not-an-email"));
        }
        Optional<PressureUnit> gauge = List.of(PressureUnit.values()).stream()
                .filter(known -> known.name().equals(unit))
                .findFirst();
        if (gauge.isEmpty()) {
            problems.add(Problem.of("unit", "unknown-value"));
        }
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Accounts.NewRider(
                accountName.orElseThrow(),
                password,
                email.isEmpty() ? null : email,
                zoneOrOurs(),
                gauge.orElseThrow()));
    }

    /** The browser's zone where it gave a known one, else this machine's. */
    private String zoneOrOurs() {
        try {
            return ZoneId.of(zone).getId();
        } catch (DateTimeException exception) {
            return ZoneId.systemDefault().getId();
        }
    }

    PasswordRules.Strength strength() {
        return PasswordRules.strengthOf(password, List.of(name, email));
    }
}
