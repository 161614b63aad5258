package velvetbezel.identify;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Exclusive roles and pairs at once: worked examples, adding up by hand, and trees. */
class MatchingsTest {
    private static double[][] none(int rows, int columns) {
        return new double[rows][columns];
    }

    /** Weights 3 and 1 for one role: 3 of 5, 1 of 5, and 1 of 5 that nobody serves it. */
    @Test
    void oneRoleIsSharedByWeight() {
        Matchings m = new Matchings(new double[][] {{3}, {1}}, none(2, 2));
        for (Matchings.Chances c : new Matchings.Chances[] {m.exact(), m.byMessages()}) {
            assertEquals(0.6, c.roles()[0][0], 1e-4);
            assertEquals(0.2, c.roles()[1][0], 1e-4);
            assertEquals(0.4, c.neither(0), 1e-4);
        }
    }

    /** Three pairs and nothing at all: each one of four. Messages go round in a ring and give 0.2764. */
    @Test
    void threeEndsThatMayAllBePairs() {
        double[][] ones = {{0, 1, 1}, {1, 0, 1}, {1, 1, 0}};
        Matchings m = new Matchings(none(3, 0), ones);
        assertEquals(0.25, m.exact().pairs()[0][1], 1e-12);
        assertEquals(0.2764, m.byMessages().pairs()[0][1], 1e-4);
        assertTrue(m.exact().exact());
    }

    private static Matchings random(Random random, int ends, int roles) {
        double[][] ofRoles = none(ends, roles);
        double[][] ofPairs = none(ends, ends);
        for (int i = 0; i < ends; i++) {
            for (int r = 0; r < roles; r++) ofRoles[i][r] = random.nextInt(3) == 0 ? 0 : 4 * random.nextDouble();
            for (int k = 0; k < i; k++) {
                ofPairs[i][k] = random.nextInt(2) == 0 ? 0 : 6 * random.nextDouble();
                ofPairs[k][i] = ofPairs[i][k];
            }
        }
        return new Matchings(ofRoles, ofPairs);
    }

    /** An end is one thing, a role is served once at most, and a pair is one from both sides. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void chancesAreOfExclusiveThings(int seed) {
        Random random = new Random(seed);
        int ends = 1 + random.nextInt(6);
        int roles = random.nextInt(5);
        Matchings.Chances c = random(random, ends, roles).exact();
        for (int r = 0; r < roles; r++) {
            double sum = 0;
            for (int i = 0; i < ends; i++) sum += c.roles()[i][r];
            assertTrue(sum <= 1 + 1e-12);
        }
        for (int i = 0; i < ends; i++) {
            double sum = c.neither(i);
            for (double p : c.roles()[i]) sum += p;
            for (int k = 0; k < ends; k++) {
                sum += c.pairs()[i][k];
                assertEquals(c.pairs()[i][k], c.pairs()[k][i], 1e-12);
            }
            assertEquals(1, sum, 1e-9);
        }
    }

    /** On a tree, messages are exact: a chain of ends with a role at one of them. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void messagesAreExactOnATree(int seed) {
        Random random = new Random(seed);
        int ends = 3 + random.nextInt(4);
        double[][] pairs = none(ends, ends);
        for (int i = 1; i < ends; i++) {
            int k = random.nextInt(i);
            pairs[i][k] = 5 * random.nextDouble();
            pairs[k][i] = pairs[i][k];
        }
        double[][] roles = none(ends, 1);
        roles[random.nextInt(ends)][0] = 3;
        Matchings m = new Matchings(roles, pairs);
        for (int i = 0; i < ends; i++) {
            assertEquals(m.exact().roles()[i][0], m.byMessages().roles()[i][0], 1e-3);
            for (int k = 0; k < ends; k++)
                assertEquals(m.exact().pairs()[i][k], m.byMessages().pairs()[i][k], 1e-3);
        }
    }

    /** The order of the ends changes nothing. */
    @Test
    void orderOfTheEndsChangesNothing() {
        double[][] roles = {{2, 0}, {1, 3}, {0, 4}};
        double[][] turned = {{0, 4}, {1, 3}, {2, 0}};
        double[][] pairs = {{0, 5, 1}, {5, 0, 0}, {1, 0, 0}};
        double[][] pairsTurned = {{0, 0, 1}, {0, 0, 5}, {1, 5, 0}};
        Matchings.Chances a = new Matchings(roles, pairs).exact();
        Matchings.Chances b = new Matchings(turned, pairsTurned).exact();
        for (int i = 0; i < 3; i++)
            for (int r = 0; r < 2; r++) assertEquals(a.roles()[i][r], b.roles()[2 - i][r], 1e-12);
    }

    @Test
    void manyEndsAreNotAddedUp() {
        assertThrows(IllegalArgumentException.class, new Matchings(none(21, 1), none(21, 21))::exact);
    }
}
