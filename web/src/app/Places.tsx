import { lazy, Suspense, use } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { StudentHome } from '../classroom/StudentHome';
import { useMe } from '../shell/session';
import { loadWorkPage } from './begin';

// Whoever works in a lab is in already.
const SignIn = lazy(() => import('../classroom/SignIn').then((m) => ({ default: m.SignIn })));
const Enter = lazy(() => import('../classroom/Enter').then((m) => ({ default: m.Enter })));
const Join = lazy(() => import('../classroom/Join').then((m) => ({ default: m.Join })));
// Teachers and administrators bring pages of their own; a student finds the way back to all labs without the network,
// too.
const TeacherHome = lazy(() => import('../classroom/TeacherHome').then((m) => ({ default: m.TeacherHome })));
const ClassList = lazy(() => import('../classroom/ClassList').then((m) => ({ default: m.ClassList })));
const Catalogue = lazy(() => import('../classroom/Catalogue').then((m) => ({ default: m.Catalogue })));
const MyLabs = lazy(() => import('../classroom/MyLabs').then((m) => ({ default: m.MyLabs })));
const ApparatusPage = lazy(() => import('../classroom/ApparatusPage').then((m) => ({ default: m.ApparatusPage })));
const People = lazy(() => import('../classroom/People').then((m) => ({ default: m.People })));
const ActsPage = lazy(() => import('../classroom/ActsPage').then((m) => ({ default: m.ActsPage })));
const Roster = lazy(() => import('../classroom/Roster').then((m) => ({ default: m.Roster })));
// The bench and the labs bring the compiled core with them; the sign-in page needn't wait for it.
const OpenBench = lazy(() => import('../bench/OpenBench'));
const Maker = lazy(() => import('../maker/Maker'));
const ByQuestion = lazy(() => import('../sheet/byQuestion/ByQuestion').then((m) => ({ default: m.ByQuestion })));
const Pool = lazy(() => import('../sheet/pool/Pool').then((m) => ({ default: m.Pool })));
const Watch = lazy(() => import('../live/Watch').then((m) => ({ default: m.Watch })));
const Gradebook = lazy(() => import('../classroom/Gradebook').then((m) => ({ default: m.Gradebook })));
const MyPoints = lazy(() => import('../classroom/MyPoints').then((m) => ({ default: m.MyPoints })));
const LabPreview = lazy(() => import('../sheet/LabPreview'));

/** Not lazy: what React fetches by itself it shows a third of a second late, even when it is there already. */
function WorkPlace() {
  const { default: WorkPage } = use(loadWorkPage(''));
  return <WorkPage />;
}

/** Which page stands at which address, and for whom. */
export function Places() {
  const me = useMe();
  if (me === undefined) return <p className="p-8 text-soft">Opening …</p>;
  if (me === null) {
    return (
      <Suspense fallback={<p className="p-8 text-soft">Opening …</p>}>
        <Routes>
          <Route path="/join" element={<Join />} />
          <Route path="/enter" element={<Enter />} />
          <Route path="*" element={<SignIn />} />
        </Routes>
      </Suspense>
    );
  }
  const teacher = me.role === 'TEACHER';
  if (me.role === 'ADMINISTRATOR') {
    return (
      <Suspense fallback={<p className="p-8 text-soft">Opening …</p>}>
        <Routes>
          <Route path="/" element={<People />} />
          <Route path="/acts" element={<ActsPage />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Suspense>
    );
  }
  return (
    <Suspense fallback={<p className="p-8 text-soft">Opening …</p>}>
      <Routes>
        <Route path="/" element={teacher ? <TeacherHome /> : <StudentHome />} />
        {teacher && <Route path="/catalogue" element={<Catalogue />} />}
        {teacher && <Route path="/apparatus/:apparatus" element={<ApparatusPage />} />}
        {teacher && <Route path="/bench/:apparatus" element={<OpenBench />} />}
        {teacher && <Route path="/labs/:labId" element={<LabPreview />} />}
        {teacher && <Route path="/labs/:labId/write" element={<Maker />} />}
        {teacher && <Route path="/my-labs" element={<MyLabs />} />}
        {teacher && <Route path="/classes/:classId" element={<Roster />} />}
        {teacher && <Route path="/classes/:classId/gradebook" element={<Gradebook />} />}
        {!teacher && <Route path="/points" element={<MyPoints />} />}
        {teacher && <Route path="/assignments/:assignmentId" element={<ClassList />} />}
        {teacher && <Route path="/assignments/:assignmentId/live" element={<Watch />} />}
        {teacher && <Route path="/assignments/:assignmentId/pool" element={<Pool />} />}
        {teacher && <Route path="/assignments/:assignmentId/questions" element={<ByQuestion />} />}
        <Route path="/work/:workId" element={<WorkPlace />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </Suspense>
  );
}
