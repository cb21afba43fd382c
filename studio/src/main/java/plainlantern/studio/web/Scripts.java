package plainlantern.studio.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import plainlantern.picture.Sha256;

/**
 * The scripts of pages. A page names in its head all that its script imports, so that a browser asks for them at once; it asks only once,
 * as their address changes with what any of them says.
 */
@ControllerAdvice
public class Scripts implements WebMvcConfigurer {
    private static final String FILES = "classpath:/static/";
    private static final String KEPT = "/kept/";
    private static final int DIGITS = 12;
    private static final Pattern IMPORT = Pattern.compile("^(?:import|\\}|import .*) ?(?:from )?\"(\\.[^\"]+)\";", Pattern.MULTILINE);

    private final String home = KEPT + digest() + "/";
    private final Map<String, List<String>> known = new ConcurrentHashMap<>();

    @ModelAttribute("scripts")
    Scripts scripts() {
        return this;
    }

    /** The addresses of a script such as "workbench" and of all that it imports, itself first. */
    public List<String> of(String script) {
        return known.computeIfAbsent(script, name -> {
            Set<String> all = new LinkedHashSet<>();
            Deque<String> left = new ArrayDeque<>(List.of(home + "js/" + name + ".js"));
            while (!left.isEmpty()) {
                String next = left.remove();
                if (all.add(next)) left.addAll(imports(next));
            }
            return List.copyOf(all);
        });
    }

    private List<String> imports(String address) {
        try {
            String text = new ClassPathResource("static/" + address.substring(home.length())).getContentAsString(StandardCharsets.UTF_8);
            return IMPORT.matcher(text).results().map(found -> URI.create(address).resolve(found.group(1)).toString()).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler(home + "**").addResourceLocations(FILES)
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        // A page of another version of this program, while nodes are brought up to date, gets what there is, and does not keep it.
        registry.addResourceHandler(KEPT + "**").addResourceLocations(FILES).setCacheControl(CacheControl.noStore()).resourceChain(false)
                .addResolver(new PathResourceResolver() {
            @Override
            protected Resource getResource(String path, Resource location) throws IOException {
                return super.getResource(path.substring(path.indexOf('/') + 1), location);
            }
        });
    }

    private static String digest() {
        try {
            Resource[] files = new PathMatchingResourcePatternResolver().getResources(FILES + "**/*.js");
            Arrays.sort(files, Comparator.comparing(Resource::getFilename));
            MessageDigest all = Sha256.digest();
            for (Resource file : files) all.update(file.getContentAsByteArray());
            return HexFormat.of().formatHex(all.digest()).substring(0, DIGITS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
