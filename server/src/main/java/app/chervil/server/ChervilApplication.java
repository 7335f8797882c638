package app.chervil.server;

import java.time.Clock;
import java.time.ZoneId;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** Starts Chervil. */
@SpringBootApplication(proxyBeanMethods = false)
@ConfigurationPropertiesScan
@MapperScan(basePackages = "app.chervil.server", annotationClass = Mapper.class)
public class ChervilApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(ChervilApplication.class, arguments);
    }

    /** The one clock: instants in UTC, days in the zone of the machine. */
    @Bean
    Clock clock() {
        return Clock.system(ZoneId.systemDefault());
    }
}
