package app.chervil.server.web;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers the plain port, to which a phone comes before it trusts the site: with the site's certificate, what to tap, and
 * the way on. Nothing else is to be had there.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
@ConditionalOnExpression("${chervil.house.pairing-port:0} > 0")
public class PairingDesk extends OncePerRequestFilter {
    private final int port;
    private final List<String> addresses;
    private final byte[] authority;

    PairingDesk(
            @Value("${chervil.house.pairing-port}") int port,
            @Value("${chervil.house.addresses}") String addresses,
            @Value("${chervil.house.authority}") Path authority)
            throws IOException, GeneralSecurityException {
        this.port = port;
        this.addresses = Reached.parts(addresses);
        this.authority = CertificateFactory.getInstance("X.509")
                .generateCertificate(new ByteArrayInputStream(Files.readAllBytes(authority)))
                .getEncoded();
    }

    /** Where a phone begins, for each address of this machine. */
    public List<String> starts() {
        return addresses.stream()
                .map(address -> address.replaceFirst("https://(.*?)(:\\d+)?/?$", "http://$1:" + port + "/"))
                .toList();
    }

    /** Under which the site is then reached. */
    public List<String> addresses() {
        return addresses;
    }

    /** By which a person sees that the phone was given the right certificate: SHA-256 of it in pairs. */
    public String fingerprint() {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(authority);
            return HexFormat.ofDelimiter(" ").formatHex(digest).toUpperCase(Locale.ROOT);
        } catch (GeneralSecurityException everywhere) {
            throw new IllegalStateException(everywhere);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getLocalPort() != port) {
            chain.doFilter(request, response);
            return;
        }
        String path = request.getRequestURI();
        if (request.getMethod().equals("GET") && path.equals("/chervil.crt")) {
            response.setContentType("application/x-x509-ca-cert");
            response.setHeader("Content-Disposition", "attachment; filename=\"chervil.crt\"");
            response.getOutputStream().write(authority);
        } else if (request.getMethod().equals("GET") && path.equals("/")) {
            response.setContentType("text/html;charset=UTF-8");
            response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'");
            response.setHeader("Cache-Control", "no-store");
            response.getWriter().write(page(request.getServerName()));
        } else {
            Problems.write(response, HttpStatus.UPGRADE_REQUIRED, "not-encrypted", "Come by https.");
        }
    }

    private String page(String host) throws IOException {
        String text = new ClassPathResource("pairing.html").getContentAsString(StandardCharsets.UTF_8);
        String on = addresses.stream()
                .filter(address -> address.contains("//" + host.toLowerCase(Locale.ROOT) + ":"))
                .findFirst()
                .orElse(addresses.get(0));
        return text.replace("{address}", on).replace("{fingerprint}", fingerprint());
    }
}
