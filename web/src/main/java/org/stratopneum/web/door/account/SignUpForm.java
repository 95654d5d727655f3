package org.stratopneum.web.door.account;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.EmailText;
import org.stratopneum.web.platform.wording.Region;

/**
 * What a stranger typed to sign up. The password is read but never shown again.
 *
 * @param carried the bike that they had typed before, as it stood in the address; empty where there was none
 */
record SignUpForm(String name, String password, String email, String zone, String unit, Map<String, String> carried) {

    private static final Set<String> OWN = Set.of("name", "password", "email", "zone", "unit");

    /** The field that every form of a bike has. */
    private static final String BIKE = "asked";

    static SignUpForm of(Map<String, String> parameters) {
        return new SignUpForm(
                parameters.getOrDefault("name", ""),
                parameters.getOrDefault("password", ""),
                parameters.getOrDefault("email", "").strip(),
                parameters.getOrDefault("zone", ""),
                parameters.getOrDefault("unit", parameters.getOrDefault("pressureUnit", PressureUnit.PSI.name())),
                carried(parameters));
    }

    private static Map<String, String> carried(Map<String, String> parameters) {
        Map<String, String> carried = new TreeMap<>();
        if (parameters.containsKey(BIKE)) {
            parameters.forEach((field, text) -> {
                if (!OWN.contains(field) && !field.startsWith("_")) {
                    carried.put(field, text);
                }
            });
        }
        return carried;
    }

    /**
     * Reads the form; faults go to {@code problems}, and then there is nobody.
     *
     * @param region of their browser
     */
    Optional<Accounts.NewRider> read(Region region, Problems problems) {
        Optional<AccountName> accountName = AccountName.of(name);
        if (accountName.isEmpty()) {
            problems.add(Problem.of("name", "not-a-name"));
        }
        PasswordRules.check("password", password, List.of(name, email), problems);
        Optional<String> address = email(email, problems);
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
                accountName.orElseThrow(), password, address.orElse(null), zoneOrOurs(), gauge.orElseThrow(), region));
    }

    /** The address typed into the field email, empty where nothing was; a fault where it cannot be one. */
    static Optional<String> email(String typed, Problems problems) {
        String address = typed.strip();
        if (!address.isEmpty() && !EmailText.isAddress(address)) {
            problems.add(Problem.of("email", "not-an-email"));
        }
        return address.isEmpty() ? Optional.empty() : Optional.of(address);
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
