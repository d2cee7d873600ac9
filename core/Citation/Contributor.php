<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** What somebody did for a source, beside writing and editing it; the value is the standard's name of it. */
enum Contributor: string
{
    case Translator = 'translator';
    case ContainerAuthor = 'container-author';
    case CollectionEditor = 'collection-editor';
    case ReviewedAuthor = 'reviewed-author';
    case OriginalAuthor = 'original-author';
    case EditorTranslator = 'editor-translator';
    case EditorialDirector = 'editorial-director';
    case Compiler = 'compiler';
    case Contributor = 'contributor';
    case Illustrator = 'illustrator';
    case Interviewer = 'interviewer';
    case Recipient = 'recipient';
    case Director = 'director';
    case ScriptWriter = 'script-writer';
    case Producer = 'producer';
    case ExecutiveProducer = 'executive-producer';
    case SeriesCreator = 'series-creator';
    case Host = 'host';
    case Guest = 'guest';
    case Narrator = 'narrator';
    case Performer = 'performer';
    case Composer = 'composer';
    case Chair = 'chair';
    case Organizer = 'organizer';
    case Curator = 'curator';

    /** What they are called, several of them. */
    public function label(): string
    {
        return match ($this) {
            self::Translator => 'Translators',
            self::ContainerAuthor => 'Authors of the whole',
            self::CollectionEditor => 'Editors of the series',
            self::ReviewedAuthor => 'Authors of what is reviewed',
            self::OriginalAuthor => 'Authors of the original',
            self::EditorTranslator => 'Editors who translated it too',
            self::EditorialDirector => 'Editorial directors',
            self::Compiler => 'Compilers',
            self::Contributor => 'Contributors',
            self::Illustrator => 'Illustrators',
            self::Interviewer => 'Interviewers',
            self::Recipient => 'To whom it was written',
            self::Director => 'Directors',
            self::ScriptWriter => 'Writers of the script',
            self::Producer => 'Producers',
            self::ExecutiveProducer => 'Executive producers',
            self::SeriesCreator => 'Creators of the series',
            self::Host => 'Hosts',
            self::Guest => 'Guests',
            self::Narrator => 'Narrators',
            self::Performer => 'Performers',
            self::Composer => 'Composers',
            self::Chair => 'Chairs',
            self::Organizer => 'Organizers',
            self::Curator => 'Curators',
        };
    }
}
