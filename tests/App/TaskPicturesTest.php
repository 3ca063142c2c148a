<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Content\Pictures\TaskPictures;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Score\Composer;
use HandGarden\Core\Score\TaskSteps;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;

final class TaskPicturesTest extends GardenTestCase
{
    public function testTheDoingOfATaskShowsTheTaskAndGoesThroughItsStills(): void
    {
        $key = $this->service(TaskPictures::class)->of($this->doing('turn-key'));
        $comb = $this->service(TaskPictures::class)->of($this->doing('comb-hair'));
        $pictures = $this->service(HandPictures::class);
        $plain = Cases::catalogue()->rung($key->id);

        self::assertSame($plain->id, $key->id, 'the log knows it by the same name');
        self::assertCount(3, array_unique([
            $pictures->telling($key, Side::Right),
            $pictures->telling($comb, Side::Right),
            $pictures->telling($plain, Side::Right),
        ]));
        $stills = [];
        $composer = new Composer(Side::Right, new TaskSteps(Cases::catalogue()));
        foreach ($composer->stretch([$this->doing('turn-key')], 1)->cues as $cue) {
            if ($cue->part->isWork()) {
                array_push($stills, ...$cue->stills);
            }
        }
        self::assertSame([0, 1], array_values(array_unique($stills)));
    }

    public function testAnExerciseThatIsNoTaskKeepsItsPicture(): void
    {
        $rung = Cases::catalogue()->rung('coin-still-hold');
        $item = new Item($rung, Hands::Right, $rung->dosing->start, new Phrase('any'));

        self::assertSame($rung, $this->service(TaskPictures::class)->of($item));
    }

    private function doing(string $task): Item
    {
        $rung = Cases::catalogue()->rung('goal-task-carry-over');

        return new Item(
            $rung,
            Hands::Right,
            $rung->dosing->start,
            new Phrase('any'),
            variant: new Phrase('task.whole', ['key' => $task, 'part' => 'whole']),
        );
    }
}
