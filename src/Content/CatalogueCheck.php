<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Reachable;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\TaskWith;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Drawing\DrawingLibrary;

/**
 * What no single file can say of itself: names that other files give, ids that are one of a kind, links between
 * rungs.
 */
final readonly class CatalogueCheck
{
    private const ABOUT_RUNGS = ['tryout', 'met', 'stands', 'helper_signed', 'chosen'];

    private PictureCheck $pictures;

    public function __construct(
        private Catalogue $catalogue,
        private DrawingLibrary $drawings,
    ) {
        $this->pictures = new PictureCheck($drawings);
    }

    /** @throws InvalidData naming file and path */
    public function run(): void
    {
        foreach ($this->catalogue->tasks() as $key => $task) {
            $this->pictures->check($task->picture(), 'tasks.yaml.'.$key.'.picture');
        }
        $seen = [];
        foreach ($this->catalogue->ladders() as $ladder) {
            foreach ($ladder->rungs as $i => $rung) {
                $path = self::path($ladder, $i);
                if (isset($seen[$rung->id])) {
                    throw InvalidData::at(
                        $path.'.id',
                        \sprintf(
                            '%s is also %s',
                            $rung->id,
                            $seen[$rung->id],
                        ),
                    );
                }
                $seen[$rung->id] = $path;
                $this->rung($ladder, $rung, $path);
            }
        }
        $this->handbook();
        $this->techniques();
    }

    /** Whatever asks for a helper's hands is taught with one technique, and every technique teaches what there is. */
    private function techniques(): void
    {
        $asking = $known = [];
        foreach ($this->catalogue->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $known[$rung->id] = true;
                $asking[$rung->id] = $rung->asksForHands();
            }
        }
        foreach ($this->catalogue->tasks() as $task) {
            foreach ($task->parts as $part) {
                $known[$part->idIn($task)] = true;
                $asking[$part->idIn($task)] = \in_array(TaskWith::Helper, $part->with, true);
            }
        }
        $techniques = $this->catalogue->handbook()->techniques;
        foreach ($techniques->all as $key => $technique) {
            foreach (array_diff($technique->ids, array_keys($known)) as $id) {
                throw InvalidData::at('techniques.yaml.'.$key, \sprintf('there is no "%s"', $id));
            }
        }
        foreach (array_keys(array_filter($asking)) as $id) {
            if (null === $techniques->of($id)) {
                throw InvalidData::at('techniques.yaml', \sprintf('nothing teaches a helper "%s"', $id));
            }
        }
    }

    /** @throws InvalidData */
    public function rung(Ladder $ladder, Rung $rung, string $path): void
    {
        foreach ([...$rung->easier, ...$rung->harder] as $id) {
            $this->rungExists($id, $path.'.links');
        }
        if (
            [] === $this->catalogue->easierThan($rung->id)
            && [] === $this->catalogue->harderThan($rung->id)
        ) {
            throw InvalidData::at(
                $path.'.links',
                'a rung that stands alone names an easier or a harder one',
            );
        }
        $conditions = ['when' => $rung->fit->entry, 'ends_while' => $rung->fit->endsWhile];
        foreach ($rung->fit->cautions as $caution) {
            $conditions['avoid_when '.$caution->key] = $caution->blocksWhile;
        }
        foreach (array_filter($conditions) as $key => $condition) {
            $this->condition($condition, $path.'.'.$key);
        }
        if (
            \in_array(
                Performer::TrainedTherapist,
                $rung->fit->performers,
                true,
            ) !== (LadderKind::Protocol === $ladder->kind)
        ) {
            throw InvalidData::at(
                $path.'.performers',
                'what only trained therapists do stands in a protocol, and nothing else does',
            );
        }
        foreach ($rung->dosing->progress as $i => $spec) {
            if (!Reachable::is($spec, $rung->dosing->range)) {
                throw InvalidData::at(
                    $path.'.progress['.$i.']',
                    'no dose inside the range meets it, so that it never grows',
                );
            }
        }
        $this->pictures->check($rung->picture(), $path.'.picture');
        $this->pictures->checkUnits(
            $rung->picture(),
            $rung->walk,
            $path.'.picture',
        );
    }

    private function condition(Condition $condition, string $path): void
    {
        foreach ($condition->atoms() as $atom) {
            if (null !== $atom->argument && \in_array($atom->code, self::ABOUT_RUNGS, true)) {
                $this->rungExists($atom->argument, $path);
            }
        }
    }

    private function handbook(): void
    {
        $book = $this->catalogue->handbook();
        foreach ($this->catalogue->screening->questions as $i => $question) {
            foreach ($question->bars->rungs as $id) {
                $this->rungExists(
                    $id,
                    "screening.yaml.questions[$i].bars.rungs",
                );
            }
        }
        foreach ($book->scripts as $n => $script) {
            foreach ($script->parts as $i => $part) {
                foreach ($part->rungIds as $id) {
                    $this->rungExists(
                        $id,
                        "scripts.yaml[$n].parts[$i].rungs",
                    );
                }
            }
        }
        $this->rungExists($book->release->grasp, 'release.yaml.in_turn_with');
        $this->rungExists($book->release->rest, 'release.yaml.ends_with');
        foreach ($book->release->steps as $i => $step) {
            $this->rungExists($step->rungId, "release.yaml.steps[$i].rung");
        }
        foreach ($book->shapes as $key => $shape) {
            if (!\in_array($shape->pose, $this->drawings->poseNames(), true)) {
                throw InvalidData::at(
                    "shapes.yaml.shapes.$key.pose",
                    \sprintf('there is no pose "%s"', $shape->pose),
                );
            }
        }
    }

    private function rungExists(string $id, string $path): void
    {
        if (!$this->catalogue->hasRung($id)) {
            throw InvalidData::at(
                $path,
                \sprintf('there is no exercise "%s"', $id),
            );
        }
    }

    private static function path(Ladder $ladder, int $i): string
    {
        return 'ladders/'.$ladder->key.'.yaml.rungs['.$i.']';
    }
}
