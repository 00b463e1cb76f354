package sparen.app.account;

import java.util.List;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** The people who may sign in. */
@Service
public class Accounts implements UserDetailsService {
    private final AccountMapper mapper;
    private final PasswordEncoder encoder;

    Accounts(AccountMapper mapper, PasswordEncoder encoder) {
        this.mapper = mapper;
        this.encoder = encoder;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        Account account = find(name);
        return new User(
                account.name(),
                account.passwordHash(),
                List.of(new SimpleGrantedAuthority(account.role().authority())));
    }

    Account find(String name) {
        return mapper.find(name).orElseThrow(() -> new UsernameNotFoundException(name));
    }

    /** Adds a person, or sets a new password for one who is there. */
    public void put(String name, String fullName, String password, Role role) {
        mapper.put(new Account(name, fullName, encoder.encode(password), role));
    }
}
