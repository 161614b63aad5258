package velvetbezel.web.job;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What the workshop charges.
 *
 * @param hourCents   an hour of labour, tax included
 * @param taxPercent  tax contained in every price
 * @param validDays   how long a quote holds
 * @param currency    what every amount is in (ISO 4217 code)
 */
public record Rates(long hourCents, int taxPercent, int validDays, String currency) {
    /** Reads the workshop's figures from the configuration. */
    @Component
    public static class Source {
        private final Rates rates;

        Source(
                @Value("${vb.labour-cents-an-hour:5400}") long hourCents,
                @Value("${vb.tax-percent:20}") int taxPercent,
                @Value("${vb.quote-days:14}") int validDays,
                @Value("${vb.currency:EUR}") String currency) {
            this.rates = new Rates(hourCents, taxPercent, validDays, currency);
        }

        public Rates rates() {
            return rates;
        }
    }

    public long labour(int minutes) {
        return Math.round(hourCents * minutes / 60.0);
    }

    /** The tax that a price contains. */
    public long contained(long cents) {
        return Math.round((double) cents * taxPercent / (100 + taxPercent));
    }
}
