<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

/** What is the matter with a made-up client, beside their condition. */
enum Trouble: string
{
    case None = 'none';
    case ConfusedAlone = 'poor judgement, alone';
    case SoftHand = 'soft hand';
    case FrailSkin = 'frail skin';
    case PainfulWrist = 'painful wrist';
    case Injected = 'injected';
    case BothHands = 'both hands';
    case ConstantPain = 'constant pain 5';
    case WeeklyOnly = 'weekly only';
    case ManySittings = 'five sittings a day';
    case LateSymptom = 'a symptom that arrives late';
    case AgingFacts = 'facts that age';
    case Dementia = 'advanced dementia, alone';
    case SitsUnsafely = 'does not sit safely';

    public static function of(int $seed): self
    {
        $all = self::cases();

        return $all[$seed % \count($all)];
    }

    public function daysPerWeek(int $usual): int
    {
        return match ($this) {
            self::WeeklyOnly => 1,
            self::ManySittings => 7,
            default => $usual,
        };
    }

    public function sittingsPerDay(): int
    {
        return self::ManySittings === $this ? 5 : 1;
    }

    /** Days between two visits. */
    public function visitEvery(): int
    {
        return self::AgingFacts === $this ? 28 : 7;
    }

    /** @return list<array{string, ?string, bool|float}> code, part and value that hold for the affected hand */
    public function findings(): array
    {
        return match ($this) {
            self::ConfusedAlone => [['confused', null, true], ['blade_judgement', null, false]],
            self::SoftHand => [
                ['tone_finger', null, 0.0],
                ['tone_wrist', null, 0.0],
                ['opening:passive', null, 100.0],
                ['opening:active', null, 10.0],
            ],
            self::FrailSkin => [['frail_skin', null, true]],
            self::Injected => [
                ['tone_finger', null, 0.0],
                ['curls', null, false],
                ['grasp_reflex', null, false],
                ['clamps_on_load', null, false],
                ['holds_ball', null, true],
                ['lets_go', null, true],
            ],
            self::PainfulWrist => [['painful', 'wrist', true]],
            self::SitsUnsafely => [['sits_safely', null, false], ['sits_supported', null, true]],
            default => [],
        };
    }
}
