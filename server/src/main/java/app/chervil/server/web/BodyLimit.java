package app.chervil.server.web;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps large bodies and unprintable queries out before anybody reads them, signed in or not. A request may carry 1 MB,
 * an import 8 MB, a photo 5 MB, an archive 300 MB.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodyLimit extends OncePerRequestFilter {
    static final long USUAL_BYTES = 1_000_000;
    static final long IMPORT_BYTES = 8_000_000;
    /** A little over what a photo may have, so that one that is too large is refused at its field. */
    static final long PHOTO_BYTES = 6L * 1024 * 1024;

    static final long ARCHIVE_BYTES = 300_000_000;

    private static final Pattern ARCHIVES = Pattern.compile("/api/archive(/preview)?");
    private static final Pattern IMPORTS =
            Pattern.compile("/api/tanks/[^/]+/(readings/import(-preview)?|notebook(/.+)?)");
    private static final Pattern PHOTOS = Pattern.compile("/api/(services|filters)/[^/]+/photos/[^/]+");
    private static final Pattern CONTROL = Pattern.compile("%0[0-8bcefBCEF]|%1[0-9a-fA-F]|%7[fF]|\\p{Cntrl}");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(request.getRequestURI());
        String asked = request.getRequestURI() + '?' + request.getQueryString();
        if (CONTROL.matcher(asked).find()) {
            refuse(response, HttpStatus.BAD_REQUEST, "not-understood", "The address has characters that no one types.");
        } else if (request.getContentLengthLong() > most) {
            tooLarge(response, most);
        } else {
            try {
                chain.doFilter(new Limited(request, most), response);
            } catch (TooLarge tooLarge) {
                tooLarge(response, most);
            } catch (ServletException failed) {
                // Where a controller reads the body itself, the framework wraps what comes of it.
                if (!(failed.getRootCause() instanceof TooLarge)) {
                    throw failed;
                }
                tooLarge(response, most);
            }
        }
    }

    private static long most(String path) {
        if (PHOTOS.matcher(path).matches()) {
            return PHOTO_BYTES;
        }
        if (ARCHIVES.matcher(path).matches()) {
            return ARCHIVE_BYTES;
        }
        return IMPORTS.matcher(path).matches() ? IMPORT_BYTES : USUAL_BYTES;
    }

    private static void tooLarge(HttpServletResponse response, long most) throws IOException {
        refuse(
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                "too-large",
                "This is too much at once: at most " + most / 1_000_000 + " MB.");
    }

    private static void refuse(HttpServletResponse response, HttpStatus status, String code, String detail)
            throws IOException {
        response.setHeader("Connection", "close");
        Problems.write(response, status, code, detail);
    }

    /** A body that went on beyond its limit, without having said so. */
    static final class TooLarge extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final long most;

        Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counted(super.getInputStream(), most);
        }
    }

    private static final class Counted extends ServletInputStream {
        private final ServletInputStream body;
        private long left;

        Counted(ServletInputStream body, long most) {
            this.body = body;
            this.left = most;
        }

        @Override
        public int read() throws IOException {
            int read = body.read();
            return count(read, read < 0 ? 0 : 1);
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int read = body.read(bytes, offset, length);
            return count(read, Math.max(read, 0));
        }

        private int count(int answer, int bytes) {
            left -= bytes;
            if (left < 0) {
                throw new TooLarge();
            }
            return answer;
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
