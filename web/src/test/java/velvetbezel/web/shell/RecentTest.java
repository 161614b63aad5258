package velvetbezel.web.shell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.InvalidInput;

class RecentTest {
    private final AtomicInteger computed = new AtomicInteger();

    @Test
    void sameKeyIsComputedOnceAndTheOldestIsForgotten() {
        Recent<String, Integer> recent = new Recent<>(2);
        assertEquals(1, recent.get("a", computed::incrementAndGet));
        assertEquals(1, recent.get("a", computed::incrementAndGet));
        recent.get("b", computed::incrementAndGet);
        recent.get("c", computed::incrementAndGet);
        assertEquals(4, recent.get("a", computed::incrementAndGet));
    }

    @Test
    void whoAsksMeanwhileWaitsForTheSameResult() throws Exception {
        Recent<String, Integer> recent = new Recent<>(2);
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        ExecutorService two = Executors.newFixedThreadPool(2);
        Future<Integer> first = two.submit(() -> recent.get("a", () -> {
            begun.countDown();
            await(go);
            return computed.incrementAndGet();
        }));
        begun.await();
        Future<Integer> second = two.submit(() -> recent.get("a", computed::incrementAndGet));
        go.countDown();
        assertEquals(first.get(), second.get());
        assertEquals(1, computed.get());
        two.shutdown();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void failureIsThrownAndNotKept() {
        Recent<String, Integer> recent = new Recent<>(2);
        assertThrows(
                InvalidInput.class,
                () -> recent.get("a", () -> {
                    throw new InvalidInput("field", "is wrong");
                }));
        assertEquals(1, recent.get("a", computed::incrementAndGet));
    }
}
