<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Contact;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;

/** What is known or answered before a sitting at home that takes exercises out of it. */
enum OutBy: string
{
    /** Severe pain now: only rest positions and breathing. */
    case SeverePain = 'severe-pain';
    /** A sore or a cut: worn things, bands, rubbing and gloves. */
    case BrokenSkin = 'broken-skin';
    /** Who was shown it is not there. */
    case NobodyThere = 'nobody-there';
    /** The plan was handed out a week ago or more: what goes on after a long time away. */
    case OldPlan = 'old-plan';
    /** Fell before: what is done standing. */
    case Unsteady = 'unsteady';

    /** Days from which a plan that nothing was heard of since is old. */
    public const OLD_PLAN_DAYS = 7;

    private const RUBBING = [Contact::RollLight, Contact::RollFirm, Contact::Traction, Contact::Tap];

    /**
     * @param Door $alone what the client may do with nobody there who was shown anything
     *
     * @return list<self> whatever of it takes the item out
     */
    public static function of(Item $item, Door $alone): array
    {
        return array_values(array_filter(
            self::cases(),
            static fn (self $by): bool => $by->takesOut($item, $alone),
        ));
    }

    private function takesOut(Item $item, Door $alone): bool
    {
        if ($item->isPause) {
            return false;
        }

        return match ($this) {
            self::SeverePain => EffortClass::Calm !== $item->rung->load->class,
            self::BrokenSkin => self::isOnTheSkin($item->rung),
            self::NobodyThere => null !== $alone->stops($item),
            self::OldPlan => Given::waitsAfterLong($item),
            self::Unsteady => $item->rung->demands->asks(Asks::Standing),
        };
    }

    private static function isOnTheSkin(Rung $rung): bool
    {
        return EffortClass::Device === $rung->load->class
            || null !== $rung->walk->minutes
            || [] !== array_filter(self::RUBBING, $rung->demands->touches(...));
    }
}
