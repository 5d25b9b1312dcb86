package wrenchnotes.server.table;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Component;

/** Answers with a table: as a file to be saved, or with tabs for whoever asks for those. */
@Component
class TableWriter extends AbstractHttpMessageConverter<Table> {

    private static final MediaType CSV = MediaType.parseMediaType("text/csv");
    private static final MediaType TABS = MediaType.parseMediaType("text/tab-separated-values");

    private final TableWords words;

    TableWriter(TableWords words) {
        super(StandardCharsets.UTF_8, CSV, TABS);
        this.words = words;
    }

    @Override
    protected boolean supports(Class<?> type) {
        return type == Table.class;
    }

    @Override
    protected boolean canRead(MediaType type) {
        return false;
    }

    @Override
    protected Table readInternal(Class<? extends Table> type, HttpInputMessage message) {
        throw new HttpMessageNotReadableException("Tables only leave", message);
    }

    @Override
    protected void writeInternal(Table table, HttpOutputMessage message) throws IOException {
        boolean tabs = TABS.isCompatibleWith(message.getHeaders().getContentType());
        if (!tabs) {
            message.getHeaders()
                    .setContentDisposition(ContentDisposition.attachment()
                            .filename(table.name() + ".csv", StandardCharsets.UTF_8)
                            .build());
        }
        String page = tabs ? words.withTabs(table) : words.withCommas(table);
        message.getBody().write(page.getBytes(StandardCharsets.UTF_8));
    }
}
