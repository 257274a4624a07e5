<?php

declare(strict_types=1);

namespace Crag\Manipulative;

use Crag\Manipulative\Algebra\AlgebraTiles;
use Crag\Manipulative\Algebra\Balance;
use Crag\Manipulative\Algebra\BarModel;
use Crag\Manipulative\Chance\CoinToss;
use Crag\Manipulative\Chance\Dice;
use Crag\Manipulative\Chance\Spinner;
use Crag\Manipulative\Data\BarChart;
use Crag\Manipulative\Data\DataLine;
use Crag\Manipulative\Data\SumTable;
use Crag\Manipulative\Data\TreeDiagram;
use Crag\Manipulative\Data\VennSets;
use Crag\Manipulative\Instrument\Compass;
use Crag\Manipulative\Instrument\Protractor;
use Crag\Manipulative\Instrument\Ruler;
use Crag\Manipulative\Instrument\SetSquare;
use Crag\Manipulative\Measure\Clock;
use Crag\Manipulative\Measure\Coins;
use Crag\Manipulative\Measure\Geoboard;
use Crag\Manipulative\Number\BaseTen;
use Crag\Manipulative\Number\Counters;
use Crag\Manipulative\Number\FractionBar;
use Crag\Manipulative\Number\FractionCircle;
use Crag\Manipulative\Number\HundredSquare;
use Crag\Manipulative\Number\NumberCards;
use Crag\Manipulative\Number\NumberLine;
use Crag\Manipulative\Number\PlaceValue;
use Crag\Manipulative\Number\TenFrame;
use Crag\Manipulative\Science\Atoms;
use Crag\Manipulative\Science\Circuit;
use Crag\Manipulative\Science\LoadedBeam;
use Crag\Manipulative\Science\Pulley;
use Crag\Manipulative\Science\Spring;
use Crag\Manipulative\Science\Staff;
use Crag\Manipulative\Space\CoordinateCube;
use Crag\Manipulative\Space\FoldedNet;
use Crag\Manipulative\Space\Solid;
use Crag\Manipulative\Space\Sphere;
use LogicException;

/** The list of manipulatives; the tray offers them in this order. */
enum ManipulativeKind: string
{
    case FractionBar = 'fraction_bar';
    case FractionCircle = 'fraction_circle';
    case BaseTen = 'base_ten';
    case PlaceValue = 'place_value';
    case NumberLine = 'number_line';
    case Counters = 'counters';
    case TenFrame = 'ten_frame';
    case HundredSquare = 'hundred_square';
    case NumberCards = 'number_cards';
    case AlgebraTiles = 'algebra_tiles';
    case Balance = 'balance';
    case BarModel = 'bar_model';
    case Clock = 'clock';
    case Coins = 'coins';
    case Geoboard = 'geoboard';
    case Dice = 'dice';
    case CoinToss = 'coin_toss';
    case Spinner = 'spinner';
    case SumTable = 'sum_table';
    case BarChart = 'bar_chart';
    case DataLine = 'data_line';
    case VennSets = 'venn_sets';
    case TreeDiagram = 'tree_diagram';
    case LoadedBeam = 'loaded_beam';
    case Spring = 'spring';
    case Pulley = 'pulley';
    case Circuit = 'circuit';
    case Atoms = 'atoms';
    case Staff = 'staff';
    case Solid = 'solid';
    case Sphere = 'sphere';
    case FoldedNet = 'folded_net';
    case CoordinateCube = 'coordinate_cube';
    case Ruler = 'ruler';
    case Protractor = 'protractor';
    case SetSquare = 'set_square';
    case Compass = 'compass';

    public function word(): string
    {
        return match ($this) {
            self::FractionBar => 'Fraction bars',
            self::FractionCircle => 'Fraction circles',
            self::BaseTen => 'Base-ten blocks',
            self::PlaceValue => 'Place-value chart',
            self::NumberLine => 'Number line',
            self::Counters => 'Counters',
            self::TenFrame => 'Ten frames',
            self::HundredSquare => 'Hundred square',
            self::NumberCards => 'Number cards',
            self::AlgebraTiles => 'Algebra tiles',
            self::Balance => 'Balance',
            self::BarModel => 'Bar model',
            self::Clock => 'Clock',
            self::Coins => 'Coins',
            self::Geoboard => 'Pegs and a band',
            self::Dice => 'Dice',
            self::CoinToss => 'Coin to toss',
            self::Spinner => 'Spinner',
            self::SumTable => 'Table with totals',
            self::BarChart => 'Bar chart',
            self::DataLine => 'Values on a line',
            self::VennSets => 'Overlapping sets',
            self::TreeDiagram => 'Tree diagram',
            self::LoadedBeam => 'Beam on a pivot',
            self::Spring => 'Spring',
            self::Pulley => 'Pulleys',
            self::Circuit => 'Circuit',
            self::Atoms => 'Atoms and bonds',
            self::Staff => 'Notes on a staff',
            self::Solid => 'Solid',
            self::Sphere => 'Sphere',
            self::FoldedNet => 'Net that folds',
            self::CoordinateCube => 'Cube of coordinates',
            self::Ruler => 'Ruler',
            self::Protractor => 'Protractor',
            self::SetSquare => 'Set square',
            self::Compass => 'Compasses',
        };
    }

    /** @return class-string<Kind> */
    public function rules(): string
    {
        return match ($this) {
            self::FractionBar => FractionBar::class,
            self::FractionCircle => FractionCircle::class,
            self::BaseTen => BaseTen::class,
            self::PlaceValue => PlaceValue::class,
            self::NumberLine => NumberLine::class,
            self::Counters => Counters::class,
            self::TenFrame => TenFrame::class,
            self::HundredSquare => HundredSquare::class,
            self::NumberCards => NumberCards::class,
            self::AlgebraTiles => AlgebraTiles::class,
            self::Balance => Balance::class,
            self::BarModel => BarModel::class,
            self::Clock => Clock::class,
            self::Coins => Coins::class,
            self::Geoboard => Geoboard::class,
            self::Dice => Dice::class,
            self::CoinToss => CoinToss::class,
            self::Spinner => Spinner::class,
            self::SumTable => SumTable::class,
            self::BarChart => BarChart::class,
            self::DataLine => DataLine::class,
            self::VennSets => VennSets::class,
            self::TreeDiagram => TreeDiagram::class,
            self::LoadedBeam => LoadedBeam::class,
            self::Spring => Spring::class,
            self::Pulley => Pulley::class,
            self::Circuit => Circuit::class,
            self::Atoms => Atoms::class,
            self::Staff => Staff::class,
            self::Solid => Solid::class,
            self::Sphere => Sphere::class,
            self::FoldedNet => FoldedNet::class,
            self::CoordinateCube => CoordinateCube::class,
            self::Ruler => Ruler::class,
            self::Protractor => Protractor::class,
            self::SetSquare => SetSquare::class,
            self::Compass => Compass::class,
        };
    }

    /** The subject that it is offered under: the folder of its rules. */
    public function subject(): string
    {
        return explode('\\', $this->rules())[2] ?? throw new LogicException($this->value);
    }

    /** Whether it is a tool that is laid on the page, and no part of the work. */
    public function isInstrument(): bool
    {
        return is_subclass_of($this->rules(), Guiding::class);
    }

    /** Settings from outside, made to fit. */
    public function settings(mixed $given): Values
    {
        $given = is_array($given) ? $given : [];
        $set = [];
        foreach ($this->rules()::settings() as $setting) {
            $set[$setting->name] = $setting->fitted($given[$setting->name] ?? null);
        }

        return Values::of($set);
    }

    /**
     * Of settings from outside, the numbers that a prompt's values give: "{a}".
     *
     * @param  array<array-key, mixed>  $given
     * @return array<string, string>
     */
    public function varied(array $given): array
    {
        $varied = [];
        foreach ($this->rules()::settings() as $setting) {
            $value = $given[$setting->name] ?? null;
            if (is_int($setting->first) && is_string($value) && preg_match('/\A\{[^{}]{1,60}\}\z/u', $value) === 1) {
                $varied[$setting->name] = $value;
            }
        }

        return $varied;
    }

    /** A state from outside, made to fit; the first one where there is none. */
    public function state(Values $set, mixed $given): Values
    {
        if (! is_array($given)) {
            return $this->rules()::start($set);
        }
        $state = [];
        foreach ($this->rules()::fields() as $field) {
            $state[$field->name] = $field->fitted($given[$field->name] ?? null);
        }

        return Values::of($state);
    }
}
