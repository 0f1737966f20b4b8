<script setup lang="ts">
import { Plus } from '@element-plus/icons-vue';
import { computed, ref, shallowRef } from 'vue';
import { standardBoard } from '@grain-fold/core/airframe';
import {
  boardAreaMm2,
  boardCorners,
  boardName,
  changedBoard,
  markedApart,
  materialsOf,
  type Blemish,
  type Board,
} from '@grain-fold/core/stock';
import {
  countOf,
  formatBoardArea,
  formatLengthWithUnit,
  MASS_PER_AREA,
  usualMassPerArea,
  type MassPerArea,
} from '@grain-fold/core/units';
import InTurn from '../../kit/InTurn.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import TextRow from '../../kit/TextRow.vue';
import OffcutDesk from './OffcutDesk.vue';
import ThicknessOutlook from './ThicknessOutlook.vue';
import BoardCard from './BoardCard.vue';
import StockList from './StockList.vue';
import ToBuy from './ToBuy.vue';
import WorkshopShelf from './WorkshopShelf.vue';

const work = useAirframe();
const boards = computed(() => work.airframe?.boards ?? []);
const newMaterial = ref('');
const groups = computed(() =>
  materialsOf(boards.value).map((material) => {
    const own = boards.value.filter((board) => board.material === material);
    const area = own.reduce((sum, board) => sum + board.count * boardAreaMm2(board), 0);
    const thicknesses = new Set(own.map(({ thicknessMm }) => thicknessMm));
    const used = (work.airframe?.parts ?? []).filter((part) => part.material === material).length;
    return { material, own, area, used, differs: thicknesses.size > 1, thicknessMm: own[0]!.thicknessMm };
  }),
);
const change = (board: Board, changes: Partial<Board>): void => {
  const field = Object.keys(changes)[0] ?? 'board';
  const words: Readonly<Record<string, string>> = {
    thicknessMm: 'Measure thickness',
    widthMm: 'Change board size',
    heightMm: 'Change board size',
    count: 'Change board count',
    price: 'Change price',
    grain: 'Change board grain',
    gramsPerSquareMetre: 'Change board mass',
    name: 'Rename board',
    material: 'Change material',
  };
  work.setBoards(
    words[field] ?? 'Change board',
    boards.value.map((one) => (one === board ? changedBoard(one, changes, work.unit) : one)),
  );
};
const measureAll = (material: string, thicknessMm: number): void =>
  work.setBoards(
    'Measure thickness',
    boards.value.map((board) => (board.material === material ? { ...board, thicknessMm } : board)),
  );
/** Marks what of a board is not to be used; of several the marked one comes apart. */
const mark = (board: Board, blemishes: readonly Blemish[]): void =>
  work.setBoards('Mark a board', markedApart(boards.value, board, blemishes, work.freshId('b')));
const remove = (board: Board): void =>
  work.setBoards(
    `Remove ${board.name}`,
    boards.value.filter((one) => one !== board),
  );
const add = (material: string): void => {
  const like = boards.value.find((board) => board.material === material);
  work.setBoards(`Add board of ${material}`, [
    ...boards.value,
    like
      ? {
          ...like,
          id: work.freshId('b'),
          name: boardName(material, like.widthMm, like.heightMm, work.unit),
          outline: undefined,
          blemishes: undefined,
        }
      : standardBoard(work.freshId('b'), material, work.unit),
  ]);
};
/** The offcut that is being drawn: a new one of a material, or the shape of a board in stock. */
const drawn = shallowRef<{ readonly material: string; readonly board?: Board }>();
const drawnName = computed(() => drawn.value?.board?.name ?? `Offcut of ${drawn.value?.material ?? ''}`);
function keepShape(shape: Pick<Board, 'widthMm' | 'heightMm' | 'outline'>): void {
  const { material, board } = drawn.value!;
  drawn.value = undefined;
  if (board) {
    const { outline: _before, ...rest } = board;
    work.setBoards(
      `Shape ${board.name}`,
      boards.value.map((one) => (one.id === board.id ? { ...changedBoard(rest, shape, work.unit) } : one)),
    );
    return;
  }
  const {
    outline: _like,
    blemishes: _blemishes,
    ...like
  } = boards.value.find((one) => one.material === material) ?? standardBoard('', material, work.unit);
  const count = boards.value.filter(({ name }) => name.startsWith(`Offcut of ${material}`)).length;
  const name = `Offcut of ${material}${count > 0 ? ` ${count + 1}` : ''}`.slice(0, 80);
  work.setBoards('Add offcut', [
    ...boards.value,
    { ...like, ...shape, id: work.freshId('b'), name, count: 1, price: 0 },
  ]);
}
const massPerArea = computed(
  () => work.airframe?.settings.massPerArea ?? usualMassPerArea(work.airframe?.settings.unit ?? 'mm'),
);
function addMaterial(): void {
  const material = newMaterial.value.trim();
  if (material === '') return;
  add(material);
  newMaterial.value = '';
}
</script>

<template>
  <OffcutDesk
    v-if="drawn"
    :name="drawnName"
    :start="drawn.board ? boardCorners(drawn.board) : []"
    @keep="keepShape"
    @cancel="drawn = undefined"
  />
  <div v-else class="station">
    <div class="reading">
      <header>
        <h1>Stock</h1>
        <p>Measure each board where you cut it: every groove, trench and slot follows the measured thickness.</p>
      </header>
      <div class="told">
        <TextRow
          label="Prices are in"
          :most="6"
          placeholder="your currency"
          :model-value="work.airframe?.settings.currency ?? ''"
          @update:model-value="work.changeSettings('Change currency', { currency: $event.trim() || undefined })"
        />
        <ChoiceRow
          label="Mass of boards in"
          :model-value="massPerArea"
          :choices="MASS_PER_AREA.map((unit) => [unit, unit] as const)"
          @update:model-value="work.changeSettings('Change unit of mass', { massPerArea: $event as MassPerArea })"
        />
      </div>
      <StockList />
      <ToBuy :key="work.airframe?.id" />
      <section v-for="group in groups" :key="group.material" :aria-label="group.material">
        <div class="head">
          <h2>{{ group.material }}</h2>
          <span class="figures"
            >{{ formatLengthWithUnit(group.thicknessMm, work.unit) }} measured ·
            {{ formatBoardArea(group.area, work.unit) }} ·
            {{ countOf(group.used, 'part uses it', 'parts use it') }}</span
          >
          <el-button size="small" @click="add(group.material)">Add a board</el-button>
          <el-button size="small" @click="drawn = { material: group.material }">Add an offcut</el-button>
        </div>
        <p v-if="group.differs" class="note">
          Boards of this material differ in thickness. Parts are figured with the first board's.
        </p>
        <ThicknessOutlook
          v-if="group.used > 0"
          :material="group.material"
          :thickness-mm="group.thicknessMm"
          @measure="measureAll(group.material, $event)"
        />
        <div class="boards">
          <InTurn v-for="board in group.own" :key="board.id"
            ><BoardCard
              :board="board"
              :unit="work.unit"
              :currency="work.airframe?.settings.currency"
              :mass-per-area="massPerArea"
              @change="change(board, $event)"
              @mark="mark(board, $event)"
              @shape="drawn = { material: board.material, board }"
              @remove="remove(board)"
          /></InTurn>
        </div>
      </section>
      <InTurn><WorkshopShelf :key="work.airframe?.id" /></InTurn>
      <el-form class="new" label-position="top" @submit.prevent="addMaterial">
        <el-form-item label="Another material">
          <el-input v-model="newMaterial" :maxlength="80" placeholder="for example plywood 2 mm" />
        </el-form-item>
        <el-button native-type="submit" :icon="Plus">Add it</el-button>
      </el-form>
    </div>
    <TrayBar
      ><span>{{ work.message || 'Changing a thickness re-figures every part of that material' }}</span></TrayBar
    >
  </div>
</template>

<style scoped>
header p {
  color: var(--ink-soft);
  margin-top: 4px;
}
section {
  margin-top: 26px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 14px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
}
.head span {
  flex: 1 0 220px;
  font-size: 15px;
  font-weight: 500;
  color: var(--ink-soft);
}
.told {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 300px));
  gap: 0 28px;
  margin-top: 10px;
}
.note {
  margin-top: 10px;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 8px 12px;
}
.boards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 20px;
  margin-top: 16px;
}
.new {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  margin-top: 32px;
}
.new .el-form-item {
  width: 300px;
  margin: 0;
}
</style>
