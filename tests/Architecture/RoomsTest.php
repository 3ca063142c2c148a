<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the floors do not say: those inside the core, and that a table is named by its owner alone. */
final class RoomsTest extends TestCase
{
    private const SRC = __DIR__.'/../../src';

    /** A room of the core knows those of its own floor and of the floors before it. */
    private const CORE = [
        ['Actor', 'Anatomy', 'Data', 'Words'],
        ['Measure'],
        ['Condition', 'Diary', 'Drawing', 'Device'],
        ['Cue'],
        ['Catalogue', 'Screening'],
        ['Placement', 'Approach', 'Helping'],
        ['Routine', 'Goal'],
        ['Progress', 'Week'],
        ['Release', 'Score', 'Sitting', 'Wearing', 'WhatIf', 'GroupWork'],
        ['Home', 'Report'],
        ['Setting'],
    ];

    /** What these answer is a code; the words are in translations/. */
    private const WORDLESS = [
        'Approach',
        'Diary',
        'Goal',
        'GroupWork',
        'Home',
        'Measure/Change',
        'Measure/Finding',
        'Placement',
        'Progress',
        'Report',
        'Routine',
        'Score',
        'Screening',
        'Sitting',
        'WhatIf',
    ];

    private const FOR_PROGRAMMERS = [
        "LadderState.php: 'below the first rung'",
        "Compiler.php: ' than a bit set holds.'",
    ];

    private const OWNERS = [
        'audit_line' => 'Account',
        'clinic' => 'Account',
        'staff' => 'Account',
        'account_code' => 'Account',
        'setting_change' => 'Account',
        'sign_in_try' => 'Account',
        'form_sent' => 'Web',
        'home_device' => 'Home',
        'care_home' => 'Home',
        'care_worker' => 'Home',
        'shared_tablet' => 'Home',
        'use_it' => 'Planning',
        'report' => 'Reporting',
        'hand_class' => 'GroupWork',
        'class_run' => 'GroupWork',
        'class_run_place' => 'GroupWork',
        'class_run_wall' => 'GroupWork',
        'wear_plan' => 'Wearing',
        'wear' => 'Wearing',
        'home_pairing' => 'Home',
        'home_plan' => 'Home',
        'home_slot' => 'Home',
        'home_change' => 'Home',
        'home_message' => 'Home',
        'home_block_word' => 'Home',
        'helper_word' => 'Home',
        'helper' => 'Client',
        'teaching' => 'Planning',
        'consent' => 'Home',
        'diary' => 'Home',
        'diary_entry' => 'Home',
        'diary_trial' => 'Home',
        'own_exercise' => 'Library',
        'client' => 'Client',
        'deputy' => 'Client',
        'screening_answer' => 'Client',
        'reading' => 'Assessment',
        'visit' => 'Assessment',
        'recording' => 'Assessment',
        'measure_draft' => 'Assessment',
        'screen_scale' => 'Assessment',
        'device' => 'Device',
        'device_batch' => 'Device',
        'routine' => 'Planning',
        'prescribed_dose' => 'Planning',
        'suspension' => 'Planning',
        'approved_rung' => 'Planning',
        'placement_override' => 'Planning',
        'shown_rung' => 'Planning',
        'sign_off' => 'Planning',
        'plan_block' => 'Planning',
        'starting_point' => 'Planning',
        'picture_review' => 'Library',
        'focus_choice' => 'Planning',
        'alert' => 'Sitting',
        'alert_note' => 'Sitting',
        'client_look' => 'Following',
        'block_review' => 'Following',
        'restraint' => 'Progress',
        'usual_pain' => 'Progress',
        'sitting' => 'Sitting',
        'sitting_item' => 'Sitting',
        'sitting_score' => 'Sitting',
        'sitting_secret' => 'Sitting',
        'sitting_event' => 'Sitting',
        'item_memory' => 'Sitting',
        'decision' => 'Progress',
        'caseload_row' => 'Caseload',
        'kept_mail' => 'Desk',
    ];

    /** @return iterable<string, array{string, list<string>}> */
    public static function coreRooms(): iterable
    {
        $below = [];
        foreach (self::CORE as $floor) {
            array_push($below, ...$floor);
            foreach ($floor as $room) {
                yield $room => [$room, $below];
            }
        }
    }

    /** @param list<string> $may */
    #[DataProvider('coreRooms')]
    public function testARoomOfTheCoreKnowsOnlyItsFloorAndThoseBelow(string $room, array $may): void
    {
        foreach (Air::files('php', self::SRC.'/Core/'.$room) as $file) {
            preg_match_all(
                '/^use HandGarden\\\\Core\\\\(\w+)\\\\/m',
                (string) file_get_contents($file),
                $used,
            );
            self::assertSame(
                [],
                array_values(array_diff($used[1], $may)),
                $file,
            );
        }
    }

    public function testEveryRoomOfTheCoreHasAFloor(): void
    {
        $rooms = glob(self::SRC.'/Core/*', \GLOB_ONLYDIR);
        $rooms = array_map(
            basename(...),
            false === $rooms ? [] : $rooms,
        );
        $known = array_merge(...self::CORE);
        sort($known);

        self::assertSame($known, $rooms);
    }

    public function testATableIsNamedInItsOwnersRoomAlone(): void
    {
        foreach (Air::files('php', self::SRC) as $file) {
            $room = explode('/', substr($file, \strlen(self::SRC) + 1))[0];
            $one = '(?:clinic|staff|client|reading|visit|routine|sitting)\b';
            $tables = '/\b(?:FROM|INTO|UPDATE|JOIN) ([a-z]+_[a-z_]++(?!\()|'.$one.')/';
            preg_match_all($tables, (string) file_get_contents($file), $named);
            foreach ($named[1] as $table) {
                self::assertSame(
                    $room,
                    self::OWNERS[$table] ?? 'a table that nobody owns',
                    $file.': '.$table,
                );
            }
        }
    }

    public function testTheseRoomsOfTheCoreSpeakNoLanguage(): void
    {
        $spoken = [];
        foreach (self::WORDLESS as $room) {
            foreach (Air::files('php', self::SRC.'/Core/'.$room) as $file) {
                foreach (\PhpToken::tokenize((string) file_get_contents($file)) as $token) {
                    $isSentence = \T_CONSTANT_ENCAPSED_STRING === $token->id
                        && 1 === preg_match(
                            '/\p{L}+ \p{Ll}+ \p{Ll}+ \p{L}+/u',
                            $token->text,
                        );
                    if ($isSentence) {
                        $spoken[] = basename($file).': '.$token->text;
                    }
                }
            }
        }

        self::assertSame(self::FOR_PROGRAMMERS, $spoken);
    }

    public function testNoRuleKnowsAnExerciseOrALadderOfTheCatalogue(): void
    {
        $known = [];
        foreach (Air::files('php', self::SRC.'/Core') as $file) {
            if (str_contains($file, '/Drawing/')) {
                continue; // poses and things have names of their own
            }
            $text = (string) file_get_contents($file);
            foreach (self::contentIds() as $id) {
                if (str_contains($text, "'".$id."'")) {
                    $known[] = $id.' in '.basename($file);
                }
            }
        }

        self::assertSame(
            [],
            $known,
            'a rung or a ladder says its part, and the rule asks for the part',
        );
    }

    /** @return list<string> of rungs and ladders */
    private static function contentIds(): array
    {
        $ids = [];
        foreach (Air::files('yaml', __DIR__.'/../../catalogue/ladders') as $file) {
            preg_match_all(
                '/^(?:\s+- id|key): ([a-z0-9-]+)$/m',
                (string) file_get_contents($file),
                $found,
            );
            array_push($ids, ...$found[1]);
        }

        return $ids;
    }
}
