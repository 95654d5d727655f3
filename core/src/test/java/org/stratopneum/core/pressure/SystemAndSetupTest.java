package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.Mass;

class SystemAndSetupTest {

    /** Common practice, no source (docs/handbook, page 3, step 2). */
    @ParameterizedTest
    @CsvSource({"ROAD, 47", "GRAVEL, 47", "MOUNTAIN, 48", "UPRIGHT, 40", "CARGO, 35"})
    void posturesShareTheWeight(Posture posture, double percentFront) {
        SystemMass mass = new SystemMass(80, 5, 15, 0, 0, 0);
        assertThat(mass.onFront(LoadShare.of(posture)).kg()).isCloseTo(percentFront, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Posture.class)
    void bothWheelsTogetherCarryEverything(Posture posture) {
        SystemMass mass = new SystemMass(78.5, 4, 19, 6, 3, 41);
        LoadShare share = LoadShare.of(posture);
        assertThat(mass.onFront(share).plus(mass.onRear(share)).kg())
                .isCloseTo(mass.total().kg(), within(1e-9));
    }

    /** Weighing gives back the two weights, with whatever is on the racks added to its own wheel. */
    @Test
    void weighingReplacesThePosture() {
        LoadShare share = LoadShare.weighed(Mass.kg(55), Mass.kg(45), false);
        SystemMass mass = new SystemMass(80, 5, 15, 0, 0, 12);
        assertThat(mass.onFront(share).kg()).isCloseTo(45, within(1e-9));
        assertThat(mass.onRear(share).kg()).isCloseTo(55 + 12, within(1e-9));
        assertThatThrownBy(() -> LoadShare.weighed(Mass.kg(95), Mass.kg(5), false))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("shareFront");
    }

    @Test
    void cargoSitsOnItsOwnWheel() {
        LoadShare share = LoadShare.of(Posture.CARGO);
        SystemMass empty = new SystemMass(70, 3, 45, 0, 0, 0);
        SystemMass loaded = new SystemMass(70, 3, 45, 0, 0, 60);
        assertThat(loaded.onRear(share).kg() - empty.onRear(share).kg()).isCloseTo(60, within(1e-9));
        assertThat(loaded.onFront(share)).isEqualTo(empty.onFront(share));
    }

    @Test
    void everyFaultOfTheMassesIsReportedAtOnce() {
        assertThatThrownBy(() -> new SystemMass(0, -1, Double.NaN, 0, 0, 1000))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        exception -> assertThat(exception.problems())
                                .extracting(Problem::field)
                                .containsExactly("riderKg", "gearKg", "bikeKg", "luggageRearKg"));
    }

    @Test
    void aSetupThatContradictsItselfIsRefused() {
        assertThatThrownBy(() -> new Setup(SetupKind.BUTYL_TUBE, true, Casing.LIGHT, false, 300.0, 350.0, null, true))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        exception -> assertThat(exception.problems())
                                .extracting(Problem::code)
                                .containsExactly(Setup.INSERT_WITH_TUBE, Setup.MIN_ABOVE_MAX));
    }

    @Test
    void cargoBikesGetTheGripSchoolAndAMinimumOfThirty() {
        assertThat(Posture.CARGO.usualDrop()).isEqualTo(DropSchool.GRIP);
        assertThat(Posture.ROAD.usualDrop()).isEqualTo(DropSchool.BALANCED);
        assertThat(DropSchool.of(0.12)).contains(DropSchool.FIRM);
        assertThat(DropSchool.of(0.13)).isEmpty();
        assertThat(DropSchool.of(Double.NaN)).isEmpty();
    }

    @Test
    void aShareThatWasWorkedOutIsTakenAsItIs() {
        assertThat(LoadShare.weighed(0.46).front()).isEqualTo(0.46);
        assertThat(LoadShare.weighed(0.46).cargo()).isFalse();
        assertThatThrownBy(() -> LoadShare.weighed(0.95)).isInstanceOf(InvalidInputException.class);
    }

    @Test
    void whatIsCarriedInTheMiddleIsShared() {
        SystemMass light = new SystemMass(70, 3, 12, 0, 0, 0);
        SystemMass frame = new SystemMass(70, 3, 12, 0, 10, 0);
        LoadShare share = LoadShare.of(Posture.GRAVEL);
        assertThat(frame.onFront(share).kg() - light.onFront(share).kg()).isCloseTo(4.7, within(1e-9));
    }

    @Test
    void aPlainSetUpIsOfAStandardTireThatWasMadeForIt() {
        Setup setup = Setup.of(SetupKind.TUBELESS);
        assertThat(setup.kind()).isEqualTo(SetupKind.TUBELESS);
        assertThat(setup.casing()).isEqualTo(Casing.STANDARD);
        assertThat(setup.seeps()).isFalse();
        assertThat(setup.hookless()).isFalse();
        assertThat(setup.insert()).isFalse();
    }
}
