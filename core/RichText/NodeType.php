<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** What a block or an inline of a note is. */
enum NodeType: string
{
    case Paragraph = 'paragraph';
    case Heading = 'heading';
    case BulletList = 'bulletList';
    case OrderedList = 'orderedList';
    case TaskList = 'taskList';
    case ListItem = 'listItem';
    case TaskItem = 'taskItem';
    case Blockquote = 'blockquote';
    case Picture = 'picture';
    case Table = 'table';
    case TableRow = 'tableRow';
    case TableCell = 'tableCell';
    case TableHeader = 'tableHeader';
    case CodeBlock = 'codeBlock';
    case HorizontalRule = 'horizontalRule';
    /** What the writer is asked, and answers below it; it never prints. */
    case Question = 'question';
    case Text = 'text';
    case HardBreak = 'hardBreak';
    case Footnote = 'footnote';
    case Citation = 'citation';
    case TopicRef = 'topicRef';

    public function isList(): bool
    {
        return $this === self::BulletList || $this === self::OrderedList || $this === self::TaskList;
    }
}
