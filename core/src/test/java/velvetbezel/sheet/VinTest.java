package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.Result;
import com.google.zxing.client.result.ResultParser;
import com.google.zxing.client.result.VINParsedResult;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import velvetbezel.Checks;

/** 49 CFR 565.15: check digit agreed by two VIN libraries, year codes from memory. */
class VinTest {
    static Stream<JsonNode> digits() {
        return Checks.of("vin.check_digit");
    }

    static Stream<JsonNode> valid() {
        return Checks.of("vin.valid");
    }

    static Stream<JsonNode> years() {
        return Checks.of("vin.model_year");
    }

    @ParameterizedTest
    @MethodSource("digits")
    void checkDigitIsComputed(JsonNode check) {
        Vin vin = new Vin(check.get("input").get("vin_masked").asString().replace('?', '0'));
        assertEquals(check.get("expected").asString(), String.valueOf(vin.expectedCheckDigit()));
    }

    @ParameterizedTest
    @MethodSource("valid")
    void goodAndBadVinsAreToldApart(JsonNode check) {
        String text = check.get("input").get("vin").asString();
        boolean valid;
        try {
            valid = new Vin(text).checkDigitRight();
        } catch (InvalidInput refused) {
            valid = false;
        }
        assertEquals(check.get("expected").asBoolean(), valid);
    }

    @ParameterizedTest
    @MethodSource("years")
    void positionTenGivesTheModelYearAndPositionSevenItsCycle(JsonNode check) {
        if (check.get("expected").isString()) {
            for (String code : new String[] {"U", "Z", "0"})
                assertTrue(new Vin("1M8GDM9AX" + code + "P042788").modelYear().isEmpty());
            return;
        }
        String vin = "1M8GDM" + check.get("input").get("position7").asString() + "AX"
                + check.get("input").get("position10").asString() + "P042788";
        assertEquals(check.get("expected").asInt(), new Vin(vin).modelYear().orElseThrow());
    }

    /** The bar-code library's parser as a second opinion on 500 seeded VINs. */
    @Test
    void checkDigitAgreesWithABarcodeLibrary() {
        Random random = new Random(49565);
        String letters = "ABCDEFGHJKLMNPRSTUVWXYZ0123456789";
        for (int i = 0; i < 500; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = 0; k < 17; k++) text.append(letters.charAt(random.nextInt(letters.length())));
            if (i % 2 == 0) text.setCharAt(8, new Vin(text.toString()).expectedCheckDigit());
            boolean theirs = ResultParser.parseResult(new Result(text.toString(), null, null, BarcodeFormat.CODE_39))
                    instanceof VINParsedResult;
            assertEquals(
                    theirs,
                    new Vin(text.toString()).checkDigitRight()
                            && "ABCDEFGHJKLMNPRSTVWXY123456789".indexOf(text.charAt(9)) >= 0,
                    text.toString());
        }
    }

    @Test
    void wrongLengthAndForbiddenLettersAreRefusedTogether() {
        InvalidInput refused = assertThrows(InvalidInput.class, () -> new Vin("1M8GDMOAXKP04I78"));
        assertEquals(3, refused.faults().size());
        assertEquals(
                "vin: A VIN has 17 characters; \"1M8GDMOAXKP04I78\" has 16. Read it again at the windscreen or the door pillar.",
                refused.faults().get(0).toString());
        assertEquals(
                "Character 7 is O, and a VIN has no I, O or Q. It is probably 0.",
                refused.faults().get(1).message());
    }

    @Test
    void wrongCheckDigitIsAWarningThatSaysWhereItBinds() {
        Vin vin = new Vin("1m8gdm9a1kp042788");
        assertFalse(vin.checkDigitRight());
        assertEquals(
                "Check digit (position 9) is 1 where X is expected. It binds for vehicles sold in North America (49 CFR 565); elsewhere it proves nothing. Compare the VIN once more.",
                vin.warning().orElseThrow());
    }
}
