<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

/** Somewhere that knows a client: the database, or a case file. */
interface FactsSource
{
    public function people(): People;

    public function setting(): Setting;

    public function thresholds(): Thresholds;

    public function measured(): Measured;

    public function decided(): Decided;
}
