package garden.vivarium.app.phone;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.Locale;

/**
 * The certificate authority of this installation alone, which signed the certificate that its pages come under.
 *
 * @param der the certificate as phones install it
 * @param name whose it is
 * @param until its last day
 * @param fingerprint SHA-256 of it, in pairs of letters, to be compared by eye
 */
record Authority(byte[] der, String name, LocalDate until, String fingerprint) {

    /**
     * Reads a certificate.
     *
     * @throws IllegalArgumentException if there is none, or it is no authority's
     */
    static Authority read(Path file) {
        try {
            X509Certificate certificate = (X509Certificate) CertificateFactory.getInstance("X.509")
                    .generateCertificate(new ByteArrayInputStream(Files.readAllBytes(file)));
            if (certificate.getBasicConstraints() < 0) {
                throw new IllegalArgumentException(file + " is not the certificate of an authority");
            }
            byte[] der = certificate.getEncoded();
            String print = HexFormat.ofDelimiter(":")
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(der))
                    .toUpperCase(Locale.ROOT);
            return new Authority(
                    der,
                    certificate.getSubjectX500Principal().getName().replaceAll("^CN=|,.*$", ""),
                    certificate.getNotAfter().toInstant().atZone(ZoneOffset.UTC).toLocalDate(),
                    print);
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalArgumentException("the certificate authority cannot be read: " + file, e);
        }
    }
}
