<?php

declare(strict_types=1);

namespace Embrel\Plan;

enum Form: string
{
    case Essay = 'essay';
    case Report = 'report';
    case Thesis = 'thesis';
    case Book = 'book';
    case Article = 'article';
    case Notes = 'notes';
}
