<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** Short and pet names, with the names that they may stand for. From memory, common practice. */
final class Nicknames
{
    private const WHOLE = [
        'abby' => ['abigail'], 'abe' => ['abraham'], 'addie' => ['adelaide', 'adeline'], 'al' => ['albert', 'alan', 'alfred'],
        'alec' => ['alexander'], 'alex' => ['alexander', 'alexandra'], 'alf' => ['alfred'], 'allie' => ['alice', 'alison'],
        'andy' => ['andrew'], 'angie' => ['angela'], 'annie' => ['ann', 'anne', 'anna'], 'archie' => ['archibald'],
        'art' => ['arthur'], 'babs' => ['barbara'], 'barb' => ['barbara'], 'barney' => ['bernard'], 'bea' => ['beatrice'],
        'becky' => ['rebecca'],
        'bella' => ['isabella'], 'ben' => ['benjamin'], 'bernie' => ['bernard'], 'bert' => ['albert', 'herbert', 'robert'],
        'bess' => ['elizabeth'], 'beth' => ['elizabeth'], 'betsy' => ['elizabeth'], 'betty' => ['elizabeth'], 'bill' => ['william'],
        'billy' => ['william'], 'bob' => ['robert'], 'bobby' => ['robert'], 'brad' => ['bradley'], 'cal' => ['calvin'],
        'candy' => ['candace'], 'carrie' => ['caroline'], 'cathy' => ['catherine'], 'chas' => ['charles'],
        'charlie' => ['charles', 'charlotte'],
        'chet' => ['chester'], 'chris' => ['christopher', 'christine', 'christian'], 'christie' => ['christine'], 'chuck' => ['charles'],
        'cindy' => ['cynthia'], 'clem' => ['clement'], 'cliff' => ['clifford'], 'connie' => ['constance'], 'curt' => ['curtis'],
        'dan' => ['daniel'], 'danny' => ['daniel'], 'dave' => ['david'], 'davy' => ['david'], 'deb' => ['deborah'],
        'debbie' => ['deborah'], 'dick' => ['richard'], 'dolly' => ['dorothy'], 'don' => ['donald'], 'doug' => ['douglas'],
        'dot' => ['dorothy'], 'dottie' => ['dorothy'], 'drew' => ['andrew'], 'ed' => ['edward', 'edwin', 'edgar'],
        'eddie' => ['edward', 'edwin'],
        'effie' => ['euphemia'], 'elsie' => ['elizabeth'], 'ellie' => ['eleanor'], 'fanny' => ['frances'],
        'flo' => ['florence'], 'fran' => ['frances', 'francis'],
        'frank' => ['francis', 'franklin'], 'fred' => ['frederick', 'alfred'], 'freddy' => ['frederick'], 'gabe' => ['gabriel'],
        'gene' => ['eugene'], 'geoff' => ['geoffrey'], 'gerry' => ['gerald'], 'gina' => ['regina'], 'ginny' => ['virginia'],
        'greg' => ['gregory'], 'greta' => ['margaret'], 'gus' => ['augustus', 'gustave'], 'hal' => ['henry', 'harold'],
        'hank' => ['henry'], 'harry' => ['henry', 'harold'],
        'hattie' => ['harriet'], 'herb' => ['herbert'], 'ike' => ['isaac'], 'jack' => ['john'], 'jackie' => ['jacqueline'],
        'jake' => ['jacob'], 'jamie' => ['james'], 'jan' => ['janet', 'janice'], 'jeff' => ['jeffrey'],
        'jen' => ['jennifer'], 'jenny' => ['jennifer'],
        'jerry' => ['gerald', 'jerome'], 'jess' => ['jessica', 'jesse'], 'jim' => ['james'], 'jimmy' => ['james'],
        'jo' => ['joanna', 'josephine'],
        'joe' => ['joseph'], 'joey' => ['joseph'], 'johnny' => ['john'], 'jon' => ['jonathan'], 'josh' => ['joshua'],
        'josie' => ['josephine'],
        'judy' => ['judith'], 'kate' => ['catherine', 'katherine'], 'kathy' => ['catherine', 'kathleen'],
        'katie' => ['catherine', 'katherine'],
        'kay' => ['katherine', 'catherine'], 'ken' => ['kenneth'], 'kim' => ['kimberly'],
        'kit' => ['christopher', 'katherine'], 'larry' => ['lawrence'],
        'len' => ['leonard'], 'leo' => ['leonard'], 'lettie' => ['letitia'], 'liam' => ['william'], 'libby' => ['elizabeth'],
        'lil' => ['lillian'], 'lily' => ['lillian'],
        'liz' => ['elizabeth'], 'lizzie' => ['elizabeth'], 'lottie' => ['charlotte'], 'lou' => ['louis', 'louise'], 'lucy' => ['lucille'],
        'madge' => ['margaret'], 'maggie' => ['margaret'], 'mamie' => ['mary'], 'mandy' => ['amanda'], 'marge' => ['margaret', 'marjorie'],
        'marty' => ['martin', 'martha'], 'matt' => ['matthew'], 'maud' => ['matilda'], 'max' => ['maximilian', 'maxwell'],
        'meg' => ['margaret'],
        'mel' => ['melvin', 'melanie'], 'mick' => ['michael'], 'mickey' => ['michael'], 'mike' => ['michael'],
        'millie' => ['mildred', 'millicent'],
        'minnie' => ['wilhelmina'], 'mitch' => ['mitchell'], 'molly' => ['mary'], 'nan' => ['ann', 'anne', 'nancy'], 'nat' => ['nathaniel'],
        'nate' => ['nathan', 'nathaniel'], 'ned' => ['edward'], 'nell' => ['eleanor', 'helen'], 'nellie' => ['eleanor', 'helen'],
        'nick' => ['nicholas'], 'nora' => ['eleanor'], 'norm' => ['norman'], 'ollie' => ['oliver'], 'pam' => ['pamela'],
        'pat' => ['patricia', 'patrick'],
        'paddy' => ['patrick'], 'patsy' => ['patricia'], 'patty' => ['patricia'], 'peg' => ['margaret'],
        'peggy' => ['margaret'], 'penny' => ['penelope'],
        'pete' => ['peter'], 'phil' => ['philip', 'phillip'], 'polly' => ['mary'], 'ralph' => ['raphael'], 'ray' => ['raymond'],
        'reg' => ['reginald'], 'rich' => ['richard'], 'rick' => ['richard'], 'ricky' => ['richard'], 'rob' => ['robert'],
        'robbie' => ['robert'], 'rod' => ['rodney'], 'ron' => ['ronald'], 'ronnie' => ['ronald', 'veronica'], 'rosie' => ['rose'],
        'roz' => ['rosalind'], 'russ' => ['russell'], 'sadie' => ['sarah'], 'sal' => ['sarah', 'salvatore'], 'sally' => ['sarah'],
        'sam' => ['samuel', 'samantha'], 'sandy' => ['alexander', 'sandra'], 'si' => ['silas', 'simon'], 'sid' => ['sidney'],
        'sophie' => ['sophia'],
        'stan' => ['stanley'], 'steph' => ['stephanie'], 'steve' => ['steven', 'stephen'], 'stu' => ['stuart'],
        'sue' => ['susan', 'suzanne'],
        'susie' => ['susan'], 'tammy' => ['tamara'], 'ted' => ['edward', 'theodore'], 'teddy' => ['edward', 'theodore'],
        'terry' => ['terence', 'theresa'],
        'tess' => ['theresa'], 'theo' => ['theodore'], 'tilly' => ['matilda'], 'tim' => ['timothy'], 'tina' => ['christina'],
        'toby' => ['tobias'],
        'tom' => ['thomas'], 'tommy' => ['thomas'], 'tony' => ['anthony'], 'tori' => ['victoria'], 'tricia' => ['patricia'],
        'trish' => ['patricia'], 'trudy' => ['gertrude'], 'val' => ['valerie'],
        'vern' => ['vernon'], 'vic' => ['victor'], 'vicky' => ['victoria'], 'vince' => ['vincent'], 'viv' => ['vivian'],
        'wally' => ['walter'],
        'walt' => ['walter'], 'wes' => ['wesley'], 'will' => ['william'], 'willie' => ['william'], 'winnie' => ['winifred'],
        'zach' => ['zachary'],
        // The same name, spelled another way.
        'allan' => ['alan'], 'allen' => ['alan'], 'ann' => ['anne'], 'carl' => ['karl'], 'catharine' => ['catherine'],
        'eric' => ['erik'], 'geoffrey' => ['jeffrey'], 'isabel' => ['isabella'], 'jeffery' => ['jeffrey'], 'katharine' => ['catherine'],
        'katherine' => ['catherine'], 'kathryn' => ['catherine'], 'marc' => ['mark'], 'phillip' => ['philip'],
        'sara' => ['sarah'], 'stephen' => ['steven'],
        'stewart' => ['stuart'], 'teresa' => ['theresa'],
    ];

    /** @return list<string> the names that a folded word may stand for, itself among them */
    public static function wholes(string $word): array
    {
        return [$word, ...self::WHOLE[$word] ?? []];
    }

    /** The one name that it stands for most; itself where it is no short one. */
    public static function whole(string $word): string
    {
        return self::WHOLE[$word][0] ?? $word;
    }

    public static function areOne(string $one, string $other): bool
    {
        return array_intersect(self::wholes($one), self::wholes($other)) !== [];
    }
}
