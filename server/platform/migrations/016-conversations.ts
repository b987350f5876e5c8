/** What candidates ask the desk, and what it answers. They belong to an application, so that they go where it goes. */
export const up = [
  `CREATE TABLE IF NOT EXISTS conversations (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, aboutKind VARCHAR(20) NOT NULL,
    aboutKey VARCHAR(120), state VARCHAR(20) NOT NULL, answerBy DATE NOT NULL, askedAt DATETIME(3) NOT NULL,
    answeredAt DATETIME(3), closedAt DATETIME(3), version INT NOT NULL,
    KEY byApplication (applicationId, state), KEY byState (state, answerBy))`,
  `CREATE TABLE IF NOT EXISTS conversation_entries (
    id CHAR(36) BINARY PRIMARY KEY, conversationId CHAR(36) BINARY NOT NULL, \`by\` VARCHAR(20) NOT NULL,
    name VARCHAR(200) NOT NULL, via VARCHAR(20) NOT NULL, \`text\` TEXT NOT NULL, messageId CHAR(36) BINARY,
    incomingMailId CHAR(36) BINARY, at DATETIME(3) NOT NULL,
    KEY byConversation (conversationId, at), UNIQUE KEY byMessage (messageId), UNIQUE KEY byMail (incomingMailId))`,
  // Answers to begin with; the desk makes them its own. Where there are such already, they stay.
  `INSERT IGNORE INTO prepared_sentences (id, about, title, english, german, place, version) VALUES
    ('01900000-0000-7000-8000-000000000011', 'question', 'When we decide', 'We read all applications once the vacancy has closed, and write to everybody, also to those we do not take.', 'Wir lesen alle Bewerbungen, sobald die Ausschreibung geschlossen ist, und schreiben allen, auch denen, die wir nicht nehmen.', 0, 0),
    ('01900000-0000-7000-8000-000000000012', 'question', 'It can wait', 'It can wait until the offer; nothing is lost by giving it later.', 'Das hat bis zum Angebot Zeit; es schadet nicht, wenn Sie es später geben.', 1, 0)`,
]
