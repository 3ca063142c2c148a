<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Readings;

/** Everything that is known about one client, as values. */
final readonly class ClientFacts
{
    public function __construct(
        public People $people,
        public Setting $setting,
        public Measured $measured,
        public Decided $decided,
        public Thresholds $thresholds = new Thresholds(),
    ) {
    }

    /** The one way from what is written somewhere to what the rules are asked with. */
    public static function from(FactsSource $source): self
    {
        return new self(
            $source->people(),
            $source->setting(),
            $source->measured(),
            $source->decided(),
            thresholds: $source->thresholds(),
        );
    }

    public function isMet(string $rungId, Side $side): bool
    {
        return \in_array(
            (new RungOnSide($rungId, $side))->text(),
            $this->decided->met,
            true,
        );
    }

    public function wasShown(string $rungId, Side $side): bool
    {
        $shown = $this->decided->shown;

        return null === $shown || $this->setting->supervised
            || \in_array((new RungOnSide($rungId, $side))->text(), $shown, true);
    }

    public function has(Condition $condition): bool
    {
        return \in_array($condition, $this->people->conditions, true);
    }

    /** @param list<string> $met `rung|side` */
    public function withMet(array $met): self
    {
        return new self(
            $this->people,
            $this->setting,
            $this->measured,
            $this->decided->withMet($met),
            thresholds: $this->thresholds,
        );
    }

    /** The same client as known by these readings alone. */
    public function withReadings(Readings $readings): self
    {
        $measured = new Measured(
            $readings,
            $this->measured->screening,
            $this->measured->injection,
        );

        return new self(
            $this->people,
            $this->setting,
            $measured,
            $this->decided,
            thresholds: $this->thresholds,
        );
    }

    /** @param list<string> $shown `rung|side` */
    public function withShown(array $shown): self
    {
        return new self(
            $this->people,
            $this->setting,
            $this->measured,
            $this->decided->withShown($shown),
            thresholds: $this->thresholds,
        );
    }

    public function withSetting(Setting $setting): self
    {
        return new self(
            $this->people,
            $setting,
            $this->measured,
            $this->decided,
            thresholds: $this->thresholds,
        );
    }
}
