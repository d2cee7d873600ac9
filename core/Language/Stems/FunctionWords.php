<?php

declare(strict_types=1);

namespace Embrel\Language\Stems;

/**
 * Words that hold sentences together and tell nothing of what a text is about: articles, pronouns, prepositions,
 * conjunctions, auxiliaries.
 */
final class FunctionWords
{
    private const EN = 'a about above across after again against all almost alone along already also although always am among an and another any '
        . 'anyone anything are aren\'t around as at away back be because been before being below beside besides between both but by came can can\'t '
        . 'cannot come could couldn\'t did didn\'t do does doesn\'t doing don\'t done down during each either else enough even ever every everyone '
        . 'everything few for from further get gets getting give given go goes going got had hadn\'t has hasn\'t have haven\'t having he he\'s her here '
        . 'hers herself him himself his how however i i\'m i\'ve if in indeed instead into is isn\'t it it\'s its itself just least less let like made '
        . 'make makes many may maybe me might mine more moreover most much must my myself near neither never nevertheless no nobody none nor not '
        . 'nothing now of off often on once one ones only onto or other others otherwise our ours ourselves out over own per perhaps quite rather '
        . 'really same say says shall she should shouldn\'t since so some someone something sometimes soon still such take than that that\'s the their '
        . 'theirs them themselves then there there\'s therefore these they this those though through throughout thus to together too toward towards '
        . 'under until up upon us use used using very was wasn\'t we well went were weren\'t what whatever when whenever where whereas wherever '
        . 'whether which while who whoever whole whom whose why will with within without won\'t would wouldn\'t yes yet you your yours '
        . 'yourself two three four five six seven eight nine ten twenty '
        . 'hundred thousand first second third year years';
    private const DE = 'aber alle allem allen aller alles als also am an andere anderem anderen anderer anderes auch auf aus bei beide beiden beim '
        . 'bereits besonders bin bis bist da dabei dadurch dafür dagegen daher dahin damals damit danach dann daran darauf daraus darf darin darum '
        . 'darunter darüber das dass daß davon davor dazu dein deine deinem deinen deiner dem den denen denn dennoch der deren derer des deshalb '
        . 'dessen dich die dies diese diesem diesen dieser dieses dir doch dort du durch dürfen ebenso eher eigentlich ein eine einem einen einer '
        . 'eines einfach einige einigen einiger einmal er erst es etwa etwas euch euer eure fast für gar gegen gerade gern gewesen gibt habe haben '
        . 'hat hatte hatten heraus her hier hin hinter ich ihm ihn ihnen ihr ihre ihrem ihren ihrer ihres im immer in indem ins ist ja je jede jedem '
        . 'jeden jeder jedes jedoch jemand jener jenes jetzt kann kein keine keinem keinen keiner keines konnte konnten können kommen kommt lassen '
        . 'lässt machen macht man manche manchen mancher manchmal mehr mein meine meinem meinen meiner meist mich mir mit muss mussten musste '
        . 'müssen nach nachdem nämlich neben nicht nichts nie niemand noch nun nur ob obwohl oder oft ohne schon sehr sein seine seinem seinen seiner '
        . 'seines seit selbst sich sie sind so sobald sodass sogar solche solchem solchen solcher soll sollen sollte sollten sondern sonst soweit '
        . 'sowie sowohl statt trotz über um und uns unser unsere unserem unseren unserer unter viel viele vielen vieler vom von vor wann war waren '
        . 'warum was weder wegen weil weiter welche welchem welchen welcher welches wem wen wenig wenige wenn wer werde werden wessen wie wieder '
        . 'will wir wird wo wobei wodurch wohl wollen worden worin wurde wurden während würde würden zu zum zur zwar zwischen zwei drei vier fünf sechs '
        . 'sieben acht neun zehn zwanzig hundert tausend erste ersten zweite zweiten dritte dritten jahr jahre jahren';

    /** @return array<string, true> of a language, in small letters; of one without a list none */
    public static function of(string $primary): array
    {
        return array_fill_keys(explode(' ', match ($primary) {
            'en' => self::EN,
            'de' => self::DE,
            default => '',
        }), true);
    }
}
