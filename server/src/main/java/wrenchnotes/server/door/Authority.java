package wrenchnotes.server.door;

import java.io.IOException;
import java.io.StringWriter;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Date;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.cert.CertIOException;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.PEMKeyPair;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.openssl.jcajce.JcaPKCS8Generator;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import wrenchnotes.server.ground.DataFolder;

/**
 * The certificates of a shop in its own network, in {@code tls/} of the data folder. The shop has an authority of its own, for ten years,
 * whose root each device trusts once; it signs the shop's certificate, which browsers take for a year and a month at most (CA/Browser
 * Forum baseline requirements, 6.3.2). A shop that has a certificate of its own, {@code own.crt} and {@code own.key}, uses that.
 */
final class Authority {

    private static final Duration ROOT_LASTS = Duration.ofDays(3650);
    private static final Duration LEAF_LASTS = Duration.ofDays(397);
    private static final Duration RENEWED_BEFORE = Duration.ofDays(30);
    /** Clocks of tablets are not always right. */
    private static final Duration SINCE = Duration.ofDays(1);

    private static final String SIGNATURE = "SHA256withECDSA";

    private final Path folder;

    Authority(Path data) {
        this.folder = data.resolve("tls");
    }

    /** Where a certificate and its key lie, as PEM. */
    record Pair(Path certificate, Path key) {}

    private Pair pair(String name) {
        return new Pair(folder.resolve(name + ".crt"), folder.resolve(name + ".key"));
    }

    /** What the shop shows: its own, or one of the authority's that names all of these and lasts for a while yet. */
    Pair current(Set<String> names, Instant now) throws IOException, GeneralSecurityException {
        Pair own = pair("own");
        if (Files.exists(own.certificate()) && Files.exists(own.key())) {
            return own;
        }
        Files.createDirectories(folder);
        Pair root = pair("authority");
        if (!Files.exists(root.certificate())) {
            makeRoot(root, now);
        }
        Pair leaf = pair("shop");
        if (!Files.exists(leaf.certificate()) || !serves(read(leaf.certificate()), names, now)) {
            makeLeaf(root, leaf, names, now);
        }
        return leaf;
    }

    private static boolean serves(X509Certificate leaf, Set<String> names, Instant now)
            throws GeneralSecurityException {
        Collection<List<?>> there = leaf.getSubjectAlternativeNames();
        Set<String> covered = there == null
                ? Set.of()
                : there.stream().map(one -> String.valueOf(one.get(1))).collect(Collectors.toSet());
        return covered.containsAll(names) && leaf.getNotAfter().toInstant().isAfter(now.plus(RENEWED_BEFORE));
    }

    /** The root that devices are to trust; it has none if the shop has a certificate of its own. */
    byte[] root() throws IOException {
        return Files.readAllBytes(pair("authority").certificate());
    }

    boolean hasRoot() {
        return Files.exists(pair("authority").certificate())
                && !Files.exists(pair("own").certificate());
    }

    /** SHA-256 of the root, to be compared by eye: pairs of figures with colons. */
    String fingerprint() throws IOException, GeneralSecurityException {
        byte[] digest = MessageDigest.getInstance("SHA-256")
                .digest(read(pair("authority").certificate()).getEncoded());
        return HexFormat.ofDelimiter(":").withUpperCase().formatHex(digest);
    }

    private void makeRoot(Pair into, Instant now) throws IOException, GeneralSecurityException {
        KeyPair keys = keys();
        X500Name name = new X500Name("CN=This shop's own authority");
        JcaX509v3CertificateBuilder root = builder(name, name, keys, now, ROOT_LASTS);
        root.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
        root.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
        root.addExtension(
                Extension.subjectKeyIdentifier,
                false,
                new JcaX509ExtensionUtils().createSubjectKeyIdentifier(keys.getPublic()));
        write(into, signed(root, keys.getPrivate()), keys.getPrivate());
    }

    private void makeLeaf(Pair root, Pair into, Set<String> names, Instant now)
            throws IOException, GeneralSecurityException {
        KeyPair keys = keys();
        X509Certificate authority = read(root.certificate());
        X500Name issuer = new X500Name(authority.getSubjectX500Principal().getName());
        JcaX509v3CertificateBuilder leaf = builder(issuer, new X500Name("CN=The shop"), keys, now, LEAF_LASTS);
        leaf.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
        leaf.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
        leaf.addExtension(Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
        leaf.addExtension(
                Extension.authorityKeyIdentifier,
                false,
                new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(authority));
        leaf.addExtension(
                Extension.subjectAlternativeName,
                false,
                new GeneralNames(names.stream()
                        .map(name ->
                                new GeneralName(isAddress(name) ? GeneralName.iPAddress : GeneralName.dNSName, name))
                        .toArray(GeneralName[]::new)));
        write(into, signed(leaf, key(root.key())), keys.getPrivate());
    }

    private static boolean isAddress(String name) {
        return name.matches("\\d+(\\.\\d+){3}") || name.contains(":");
    }

    private static KeyPair keys() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }

    private static JcaX509v3CertificateBuilder builder(
            X500Name issuer, X500Name subject, KeyPair keys, Instant now, Duration lasts) throws CertIOException {
        return new JcaX509v3CertificateBuilder(
                issuer,
                new BigInteger(127, new SecureRandom()),
                Date.from(now.minus(SINCE)),
                Date.from(now.plus(lasts).minus(SINCE)),
                subject,
                keys.getPublic());
    }

    private static X509Certificate signed(JcaX509v3CertificateBuilder builder, PrivateKey by)
            throws GeneralSecurityException {
        try {
            return new JcaX509CertificateConverter()
                    .getCertificate(builder.build(new JcaContentSignerBuilder(SIGNATURE).build(by)));
        } catch (OperatorCreationException e) {
            throw new GeneralSecurityException(e);
        }
    }

    /** The key first: a certificate without its key would be taken for whole. */
    private static void write(Pair into, X509Certificate certificate, PrivateKey key) throws IOException {
        DataFolder.write(into.key(), pem(key));
        DataFolder.write(into.certificate(), pem(certificate));
    }

    private static byte[] pem(Object what) throws IOException {
        StringWriter text = new StringWriter();
        try (JcaPEMWriter pem = new JcaPEMWriter(text)) {
            pem.writeObject(what instanceof PrivateKey key ? new JcaPKCS8Generator(key, null) : what);
        }
        return text.toString().getBytes(StandardCharsets.US_ASCII);
    }

    private static X509Certificate read(Path certificate) throws IOException, GeneralSecurityException {
        try (var in = Files.newInputStream(certificate)) {
            return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
        }
    }

    private static PrivateKey key(Path key) throws IOException, GeneralSecurityException {
        try (PEMParser pem = new PEMParser(Files.newBufferedReader(key, StandardCharsets.US_ASCII))) {
            Object read = pem.readObject();
            PrivateKeyInfo info = read instanceof PEMKeyPair both ? both.getPrivateKeyInfo() : (PrivateKeyInfo) read;
            return new JcaPEMKeyConverter().getPrivateKey(info);
        }
    }
}
