package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** ISO 10487 connectors A and B, from memory (marked sure but for A1 and A2). */
class Iso10487Test {
    @ParameterizedTest
    @CsvSource({
        "A,1,speed",
        "A,2,mute",
        "A,4,constant",
        "A,5,antenna power",
        "A,6,illumination",
        "A,7,accessory",
        "A,8,ground",
        "B,1,rear right +",
        "B,2,rear right -",
        "B,3,front right +",
        "B,4,front right -",
        "B,5,front left +",
        "B,6,front left -",
        "B,7,rear left +",
        "B,8,rear left -"
    })
    void positionHasItsRole(String plug, String position, String role) {
        assertEquals(LeadRole.find(role), Iso10487.role("ISO 10487 " + plug, position));
    }

    @Test
    void positionThreeIsLeftOpenAndOtherPlugsAreNotGuessed() {
        assertEquals(Optional.empty(), Iso10487.role("ISO 10487 A", "3"));
        assertEquals(Optional.empty(), Iso10487.role("ISO 10487 A", "9"));
        assertEquals(Optional.empty(), Iso10487.role("Bramblewick 16-way", "4"));
    }
}
