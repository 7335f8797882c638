package app.chervil.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Every path that is no file and no API is a place of the front end. */
@Configuration(proxyBeanMethods = false)
class FrontEnd implements WebMvcConfigurer {
    private static final String BUILT = "classpath:/static/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(BUILT + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(BUILT)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PlaceResolver());
    }

    /**
     * Nothing is handed from one answer to the next. The framework would look for it in the session of every page and file,
     * and so in the database, and shows none of them while that is away.
     */
    @Bean
    FlashMapManager flashMapManager() {
        return new FlashMapManager() {
            @Override
            public @Nullable FlashMap retrieveAndUpdate(HttpServletRequest request, HttpServletResponse response) {
                return null;
            }

            @Override
            public void saveOutputFlashMap(FlashMap kept, HttpServletRequest request, HttpServletResponse response) {}
        };
    }

    private static final class PlaceResolver extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            @Nullable Resource file = super.getResource(path, location);
            boolean place = !path.startsWith("api/") && !path.startsWith("manage/") && !path.contains(".");
            return file == null && place ? super.getResource("index.html", location) : file;
        }
    }
}
