package sparen.app;

import java.time.Clock;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Entry point of the application. */
@SpringBootApplication
@MapperScan(basePackageClasses = SparenApplication.class, annotationClass = org.apache.ibatis.annotations.Mapper.class)
public class SparenApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(SparenApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
