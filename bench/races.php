<?php

declare(strict_types=1);

// php bench/races.php URL PASSWORD ROUNDS: each form is sent twice at the same moment, as a double click does, then
// once more, as a step back does; and by two people who opened it at the same time. Counted is what is kept: nothing
// twice, nothing replaced unseen, no error of the server. Ends with 1 otherwise. OWNER_DATABASE_URL: where it is kept.

use HandGarden\Bench\Faults\Answer;
use HandGarden\Bench\Faults\Database;
use HandGarden\Bench\Faults\Person;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Uid\Uuid;

require dirname(__DIR__).'/vendor/autoload.php';

[, $base, $password, $rounds] = $argv;
assert('' !== $base);
$first = new Person($base, 'maren@quayside.example', $password);
$second = new Person($base, 'sefa@quayside.example', $password);
$first->signIn();
$second->signIn();
$window = $first->secondWindow();
$database = new Database();
preg_match('#href="(/clients/[0-9a-f-]{36})"#', $first->alone($first->ask('/'))->body, $m);
$client = $m[1] ?? exit("No client.\n");

/** @return array<array-key, mixed> what the form of a page would send */
$fieldsOf = static function (Person $person, string $page, string $form) use ($base): array {
    $shown = (new Crawler($person->alone($person->ask($page))->body, $base.$page))->filter($form);

    return 0 === $shown->count()
        ? exit("No form $form on $page.\n")
        : $shown->first()->form()->getPhpValues();
};
/**
 * Name, page, form on it, where it goes, what the first and the second type (% is the round), what is counted, and what
 * becomes of two who send at once: both add something, one of them is asked again, or nobody else may.
 */
$forms = [
    ['a new client', '/clients/new', 'main form:not(.note)', '/clients/new',
        ['givenName' => 'Race', 'familyName' => 'One %', 'conditions' => ['stroke'], 'affected' => 'right'],
        ['familyName' => 'Two %'], 'client', 'both'],
    ['a note', $client, 'form[action$="/note"]', $client.'/note',
        ['note' => 'Slept well. %'], ['note' => 'Slept badly. %'], 'audit_line', 'both'],
    ['a sitting', $client.'/sittings/new', 'main form:not(.note)', $client.'/sittings/new',
        ['pain_before' => '1', 'hurt_later' => 'no'], ['pain_before' => '2'], 'sitting', 'both'],
    ['a measure', $client.'/measure?set=everything', 'main form:not(.note)', $client.'/measure?set=everything',
        ['m' => ['grip_kg:right:-:-' => '7']], ['m' => ['grip_kg:right:-:-' => '8']], 'reading', 'both'],
    ['times of the week', $client.'/week', 'main form:not(.note)', $client.'/week',
        ['helper_hours' => 'Mon 8:0%-9:00'], ['helper_hours' => 'Tue 8:0%-9:00'], 'week_times', 'one'],
    ['screening', $client.'/screening', 'main form:not(.note)', $client.'/screening',
        ['asked_again' => '1'], ['asked_again' => '1'], 'screening_answer', 'both'],
    ['another rung', $client.'/placement', 'form[action$="/placement"]', $client.'/placement',
        ['rung' => 'finger-space-opener', 'note' => 'She can. %'], ['note' => 'Not yet. %'],
        'placement_override', 'any'],
    ['an approach', $client.'/approaches', 'ol.rows form', $client.'/approaches',
        ['note' => 'She tires. %'], ['note' => 'She does not. %'], 'approach_choice', 'one'],
    ['a routine', $client.'/routine?kind=short', 'form[action$="/suggest"]', $client.'/routine/suggest',
        ['kind' => 'short'], ['kind' => 'short'], 'routine', 'any'],
    ['weights', '/clinic/weights', 'main form', '/clinic/weights', ['minutes' => '4%'], [], 'clinic', 'nobody'],
];
$wrong = 0;
$say = static function (bool $isRight, string $what) use (&$wrong): void {
    $wrong += $isRight ? 0 : 1;
    printf("%s  %s\n", $isRight ? 'ok   ' : 'WRONG', $what);
};
for ($round = 1; $round <= (int) $rounds; ++$round) {
    foreach ($forms as [$name, $page, $form, $address, $typed, $other, $table, $kind]) {
        $count = static fn (): int => $database->number("SELECT count(*) FROM $table");
        $told = static function (array $fields, int $number): array {
            array_walk_recursive($fields, static function (mixed &$text) use ($number): void {
                $text = is_string($text) ? str_replace('%', (string) $number, $text) : $text;
            });

            return $fields;
        };
        // a double click, then a step back and the same again
        $fields = array_replace_recursive($fieldsOf($first, $page, $form), $told($typed, $round));
        $before = $count();
        $answers = Person::together([$first->post($address, $fields), $window->post($address, $fields)]);
        $once = $count() - $before;
        $back = $first->alone($first->post($address, $fields));
        $statuses = [$answers[0]->status, $answers[1]->status, $back->status];
        $mostKept = 'screening_answer' === $table || 'reading' === $table || 'audit_line' === $table
            ? 100
            : 1;
        $say(
            [303, 303, 303] === $statuses && $count() - $before === $once && $once <= $mostKept,
            sprintf('%s, double click and back: %s; %d kept', $name, implode(' ', $statuses), $once),
        );
        if ('nobody' === $kind) {
            continue;
        }
        // two people
        $mine = array_replace_recursive($fieldsOf($first, $page, $form), $told($typed, 3 + $round));
        $theirs = array_replace_recursive(
            $fieldsOf($second, $page, $form),
            $told($typed, 9),
            $told($other, (6 + $round) % 10),
        );
        $answers = Person::together([$first->post($address, $mine), $second->post($address, $theirs)]);
        $statuses = array_map(static fn (Answer $a): int => $a->status, $answers);
        sort($statuses);
        $isRight = match ($kind) {
            'one' => [303, 409] === $statuses,
            'both' => [303, 303] === $statuses,
            default => $statuses[0] > 0 && $statuses[1] < 500,
        };
        $say($isRight, sprintf('%s, two people at once: %s', $name, implode(' ', $statuses)));
    }
}
// two windows of one browser send the same lines of a sitting at the same moment
$fields = ['pain_before' => '1', 'hurt_later' => 'no']
    + $fieldsOf($first, $client.'/sittings/new', 'main form:not(.note)');
$page = (string) parse_url(
    $first->alone($first->post($client.'/sittings/new', $fields))->leadsTo(),
    \PHP_URL_PATH,
);
preg_match_all('/data-item="([0-9a-f-]{36})"/', $first->alone($first->ask($page))->body, $items);
$stored = $alike = 0;
for ($line = 0; $line < 40; ++$line) {
    $told = ['id' => Uuid::v4()->toRfc4122(), 'item' => $items[1][$line % count(
        $items[1],
    )], 'outcome' => 'done'];
    $answers = Person::together([$first->json($page.'/log', $told), $window->json($page.'/log', $told)]);
    $alike += 200 === $answers[0]->status && 200 === $answers[1]->status ? 1 : 0;
    $stored += $database->number("SELECT count(*) FROM sitting_event WHERE id = '{$told['id']}'");
}
$say(
    40 === $alike && 40 === $stored,
    sprintf('40 lines from two windows at once: %d told both as stored, %d kept', $alike, $stored),
);
printf("%d forms, %d rounds: %d wrong\n", count($forms), $rounds, $wrong);
exit(0 === $wrong ? 0 : 1);
