package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class DeviceTurnstileTest {
    private final DeviceTurnstile turnstile = new DeviceTurnstile();

    private MockHttpServletResponse comes(String path, FilterChain work) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        turnstile.doFilter(new MockHttpServletRequest("POST", path), response, work);
        return response;
    }

    private List<Thread> occupy(CountDownLatch leave) throws InterruptedException {
        CountDownLatch inside = new CountDownLatch(DeviceTurnstile.AT_ONCE);
        List<Thread> devices = new ArrayList<>();
        for (int i = 0; i < DeviceTurnstile.AT_ONCE; i++) {
            Thread device = new Thread(() -> {
                try {
                    comes(DeviceTurnstile.PATH, (request, response) -> {
                        inside.countDown();
                        waitFor(leave);
                    });
                } catch (Exception failure) {
                    throw new IllegalStateException(failure);
                }
            });
            device.start();
            devices.add(device);
        }
        inside.await();
        return devices;
    }

    private static void waitFor(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void who_finds_it_full_is_told_when_to_come_again_and_people_pass_by() throws Exception {
        CountDownLatch leave = new CountDownLatch(1);
        List<Thread> devices = occupy(leave);
        FilterChain work = mock(FilterChain.class);

        MockHttpServletResponse late = comes(DeviceTurnstile.PATH, work);
        assertThat(late.getStatus()).isEqualTo(503);
        assertThat(late.getHeader("Retry-After")).isEqualTo("1");
        assertThat(late.getContentAsString()).contains("\"busy\"");
        verify(work, never()).doFilter(any(), any());

        assertThat(comes("/api/rounds", work).getStatus()).isEqualTo(200);
        verify(work).doFilter(any(), any());

        leave.countDown();
        for (Thread device : devices) {
            device.join();
        }
        assertThat(comes(DeviceTurnstile.PATH, work).getStatus()).isEqualTo(200);
    }

    @Test
    void one_after_the_other_is_let_in_each_time_after_a_rest_as_long_as_the_work() throws Exception {
        int readings = 40;
        long each = TimeUnit.MILLISECONDS.toNanos(5);
        FilterChain work = (request, response) -> LockSupport.parkNanos(each);

        long began = System.nanoTime();
        for (int i = 0; i < readings; i++) {
            assertThat(comes(DeviceTurnstile.PATH, work).getStatus()).isEqualTo(200);
        }

        assertThat(System.nanoTime() - began).isGreaterThanOrEqualTo((2L * readings - 1) * each);
        assertThat(DeviceTurnstile.restAfter(began)).isEqualTo(TimeUnit.MILLISECONDS.toNanos(50));
    }

    @Test
    void one_who_is_stopped_while_it_waits_is_not_let_in_and_leaves_the_place_free() throws Exception {
        FilterChain work = mock(FilterChain.class);
        comes(DeviceTurnstile.PATH, (request, response) -> LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50)));

        Thread.currentThread().interrupt();
        assertThat(comes(DeviceTurnstile.PATH, work).getStatus()).isEqualTo(503);
        assertThat(Thread.interrupted()).isTrue();
        verify(work, never()).doFilter(any(), any());

        assertThat(comes(DeviceTurnstile.PATH, work).getStatus()).isEqualTo(200);
    }

    @Test
    void one_that_fails_leaves_its_place_free() throws Exception {
        FilterChain broken = mock(FilterChain.class);
        doThrow(new ServletException("broken")).when(broken).doFilter(any(), any());
        for (int again = 0; again < 3 * DeviceTurnstile.AT_ONCE; again++) {
            try {
                comes(DeviceTurnstile.PATH, broken);
            } catch (ServletException expected) {
                assertThat(expected).hasMessage("broken");
            }
        }
        FilterChain work = mock(FilterChain.class);
        comes(DeviceTurnstile.PATH, work);
        verify(work).doFilter(any(), any());
    }
}
