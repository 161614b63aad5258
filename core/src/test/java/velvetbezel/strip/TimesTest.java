package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.strip.Minutes;

class TimesTest {
    @Test
    void twentyStepsOfOneTwoFourMinutesTakeFortyThreeToFifty() {
        // mean 7/3 each, variance (1+4+16-2-4-8)/18 = 7/18: 46.7 ± 1.28·√7.78 = 43.1 to 50.2
        TimeRange t = TimeRange.of(Collections.nCopies(20, new Minutes(1, 2, 4)));
        assertEquals(43.1, t.low(), 0.05);
        assertEquals(50.2, t.high(), 0.05);
        assertEquals(20, t.least());
        assertEquals(80, t.most());
    }

    @Test
    void eightInTenDrawsLieInTheRange() {
        Random random = new Random(3);
        List<Minutes> steps = Collections.nCopies(20, new Minutes(1, 2, 4));
        TimeRange t = TimeRange.of(steps);
        int inside = 0;
        for (int n = 0; n < 4000; n++) {
            double sum = 0;
            for (Minutes m : steps) sum += triangle(random, m);
            if (sum >= t.low() && sum <= t.high()) inside++;
        }
        assertEquals(0.8, inside / 4000.0, 0.03);
    }

    private static double triangle(Random random, Minutes m) {
        double u = random.nextDouble();
        double peak = (m.usual() - m.least()) / (m.most() - m.least());
        return u < peak
                ? m.least() + Math.sqrt(u * (m.most() - m.least()) * (m.usual() - m.least()))
                : m.most() - Math.sqrt((1 - u) * (m.most() - m.least()) * (m.most() - m.usual()));
    }

    /** A person who takes 1.6 times as long, with a step that is three times as long on this car. */
    private static List<LearnedTimes.Taken> records(int jobs, long seed) {
        Random random = new Random(seed);
        List<LearnedTimes.Taken> taken = new ArrayList<>();
        for (int j = 0; j < jobs; j++)
            for (int s = 0; s < 12; s++) {
                double sheet = 1 + s % 4;
                double truth = sheet * 1.6 * (s == 3 ? 2 : 1);
                taken.add(new LearnedTimes.Taken("s" + s, sheet, truth * Math.exp(random.nextGaussian() * 0.3)));
            }
        return taken;
    }

    private static double error(int jobs) {
        double sum = 0;
        for (long seed = 0; seed < 30; seed++) {
            LearnedTimes learned = new LearnedTimes(records(jobs, seed));
            for (int s = 0; s < 12; s++) {
                double sheet = 1 + s % 4;
                double truth = sheet * 1.6 * (s == 3 ? 2 : 1);
                sum += Math.abs(Math.log(learned.of("s" + s, sheet).minutes() / truth));
            }
        }
        return sum / (30 * 12);
    }

    @Test
    void timesComeNearerWithEveryJob() {
        assertTrue(error(1) < error(0));
        assertTrue(error(3) < error(1));
        assertTrue(error(10) < error(3));
        assertTrue(error(10) < 0.15, () -> "off by " + error(10));
    }

    @Test
    void withoutRecordsTheSheetIsSaidAndAPauseIsNotCounted() {
        LearnedTimes none = new LearnedTimes(List.of());
        assertEquals(new LearnedTimes.Learned(4, 0), none.of("s", 4));
        LearnedTimes paused = new LearnedTimes(List.of(new LearnedTimes.Taken("s", 2, 45)));
        assertEquals(0, paused.records());
        assertEquals(1, paused.pace());
    }
}
