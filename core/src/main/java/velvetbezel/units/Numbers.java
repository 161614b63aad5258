package velvetbezel.units;

import java.math.BigDecimal;
import java.math.MathContext;

/** How a number is written for people: no exponent, no trailing zeros, six significant digits. */
final class Numbers {
    private Numbers() {}

    static String plain(double value) {
        return BigDecimal.valueOf(value)
                .round(new MathContext(6))
                .stripTrailingZeros()
                .toPlainString();
    }
}
