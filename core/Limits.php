<?php

declare(strict_types=1);

namespace Embrel;

/** Every limit of the product, in one place. Sizes are bytes of UTF-8 unless said otherwise. */
final class Limits
{
    public const TOPICS = 50_000;
    public const LEVELS = 60;
    public const RELATIONS = 5_000;
    /** In characters. */
    public const RELATION_LABEL = 200;
    /** One picture, as it arrives. */
    public const PICTURE = 10 * 1024 * 1024;
    public const PICTURE_PIXELS = 24_000_000;
    public const PICTURE_SIDE = 30_000;
    /** In characters (code points). What is longer goes into the note, and it is said. */
    public const TITLE = 1_000;
    public const SOURCE_FILE = 16 * 1024 * 1024;
    /** A file on a source or topic, and all of a plan. */
    public const ATTACHMENT = 20 * 1024 * 1024;
    public const ATTACHMENTS = 200 * 1024 * 1024;
    /** Of one sound or film, and of all of a plan. */
    public const MEDIA = 100 * 1024 * 1024;
    public const MEDIA_ALL = 1024 * 1024 * 1024;
    /** Sources of a plan; of one, in characters: its dates, names, other fields and its remark; and how many people it may have. */
    public const SOURCES = 10_000;
    public const SOURCE_DATE = 60;
    public const SOURCE_NAME = 300;
    public const SOURCE_TEXT = 2_000;
    public const SOURCE_REMARK = 20_000;
    public const SOURCE_PEOPLE = 500;
    public const NOTE = 2 * 1024 * 1024;
    public const NOTE_DEPTH = 40;
    public const TEMPLATE_STYLES = 5_000;
    public const INTAKE = 64 * 1024 * 1024;
    /** A document's package: how many entries, all of them unpacked, and one part of it. */
    public const PACKAGE_ENTRIES = 5_000;
    public const PACKAGE = 512 * 1024 * 1024;
    public const PACKAGE_PART = 64 * 1024 * 1024;
    /** Runs of text, paragraphs and cells of one document: a book of a million words has some 200,000. */
    public const PIECES = 400_000;
    /** HTML without the pictures in it. */
    public const HTML = 16 * 1024 * 1024;
    /** One ordered batch of operations; the operation of an intake is exempt. */
    public const BATCH = 2 * 1024 * 1024;
    public const BATCH_OPERATIONS = 500;
    /** Attributes of foreign files kept on one topic. */
    public const FOREIGN = 64;
    public const FOREIGN_BYTES = 64 * 1024;
    public const TARGET_WORDS = 10_000_000;
    /** Of Markdown, whose grammar costs far more than that of the other formats: a long book is one. */
    public const MARKDOWN = 2 * 1024 * 1024;
    /** What one comment says, in characters, and how many a plan may have. */
    public const COMMENT = 5_000;
    public const COMMENTS = 20_000;
    /** One line of a text outline. */
    public const LINE = 2 * 1024 * 1024;
}
